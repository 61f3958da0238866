package cauldron.core.apparatus.liquidbridge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.apparatus.Action;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.matter.Liquid;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class LiquidBridgeTest {

    private static final LiquidBridge BRIDGE = new LiquidBridge();
    private static final double WEIGHTLESS = 0;

    @Test
    void anUnduloidComesBackToItsWidthAfterThePeriodThatEllipticIntegralsGive() {
        for (double waist : new double[] {0.3, 0.5, 0.8, 0.97}) {
            double k2 = 1 - waist * waist;
            double period = 2 * (second(k2) + waist * first(k2));
            Meridian law = new Meridian(WEIGHTLESS);
            double[] least = {1};
            assertThat(law.follow(Math.PI / 2, 2 / (1 + waist), period, (z, r) -> least[0] = Math.min(least[0], r)))
                    .isTrue();
            assertThat(law.radius()).as("waist %s", waist).isCloseTo(1, within(2e-6));
            assertThat(law.angle()).isCloseTo(Math.PI / 2, within(1e-4));
            assertThat(least[0]).isCloseTo(waist, within(1e-6));
        }
    }

    @Test
    void aSoapCatenoidReachesAsFarAsItsClosedFormSays() {
        // r = c cosh((z − h/2)/c) with cosh(h/2c) = 1/c: without pressure.
        double c = 0.7;
        double half = c * Math.log(1 / c + Math.sqrt(1 / (c * c) - 1));
        double angle = Math.PI / 2 + Math.atan(Math.sinh(half / c));
        Meridian law = new Meridian(WEIGHTLESS);
        List<Double> off = new ArrayList<>();
        law.follow(angle, 0, 2 * half, (z, r) -> off.add(r - c * Math.cosh((z - half) / c)));
        assertThat(off).allSatisfy(o -> assertThat(o).isCloseTo(0, within(1e-8)));
    }

    /** J. M. Vega and J. M. Perales, ESA SP-191, 247 (1983): Λ = h/2R = π (1 − (3/2)^⁴ᐟ³ B^⅔) for B → 0. */
    @Test
    void aCylinderOfHardlyAnyWeightPartsWherePlateauAndRayleighSay() {
        for (double bond : new double[] {3e-4, 1e-3, 3e-3}) {
            double slenderness = Math.PI * (1 - Math.pow(1.5, 4.0 / 3) * Math.pow(bond, 2.0 / 3));
            double gap = 2 * slenderness;
            double widest = new Stretching(bond, Math.PI * gap, 0.9 * gap).widest().gap() / 2;
            assertThat(widest / slenderness - 1).as("B = %s", bond)
                    .isCloseTo(0, within(1.2 * Math.pow(bond, 2.0 / 3)));
        }
    }

    @Test
    void everyShapeHoldsTheVolumeAndCarriesItsWeight() {
        for (double bond : new double[] {0.3, 0.54, 1.4}) {
            for (double volume : new double[] {3.75, 5, 6.25}) {
                Stretching family = new Stretching(bond, volume, 1.5);
                double widest = family.widest().gap();
                for (int i = 0; i <= 20; i++) {
                    BridgeShape shape = family.at(1.5 + (widest - 1.5) * i / 20);
                    Meridian law = new Meridian(bond);
                    law.follow(shape.angle(), shape.pressure(), shape.gap(), null);
                    assertThat(law.volume()).isCloseTo(volume, within(1e-9));
                    assertThat(law.radius()).isCloseTo(1, within(1e-9));
                    double below = 2 * Math.PI * Math.sin(shape.angle()) - Math.PI * shape.pressure();
                    assertThat(new Outline(family, shape).pull() - below).isCloseTo(bond * volume, within(2e-6));
                }
            }
        }
    }

    /**
     * Widest gaps found in another way: the energy of 400 rings minimised at fixed volume, and the gap at which its
     * second variation loses its sign.
     */
    @Test
    void itPartsWhereTheEnergyHasNoMinimumAnyMore() {
        double[][] found = {{0.54, 3.75, 2.48371}, {0.54, 6.25, 3.02612}, {1.4, 5, 2.37416}};
        for (double[] one : found) {
            assertThat(new Stretching(one[0], one[1], 1.5).widest().gap()).isCloseTo(one[2], within(2e-4));
        }
    }

    @Test
    void everyLiquidIsHeldAtTheRimsUntilItParts() {
        for (Liquid liquid : Liquid.values()) {
            for (double volume : new double[] {30, 40, 50}) {
                for (double t : new double[] {10, 40}) {
                    double bond = liquid.density(t) * 9.81 * 4e-6 / liquid.surfaceTension(t);
                    Stretching family = new Stretching(bond, volume / 8, 1.5);
                    Outline last = new Outline(family, family.widest());
                    assertThat(last.angleAbove()).as("%s, %s mm³", liquid, volume).isGreaterThan(liquid.contactAngle);
                    assertThat(Math.toDegrees(family.widest().angle())).as("%s, %s mm³", liquid, volume)
                            .isGreaterThan(30);
                    assertThat(Math.toDegrees(family.at(1.5).angle())).isGreaterThan(30);
                }
            }
        }
    }

    @Test
    void bothDropsHoldWhatTheBridgeHeld() {
        for (double bond : new double[] {0.54, 1.4}) {
            for (double volume : new double[] {1.2, 3}) {
                assertThat(solid(new LoneDrop(bond, volume))).isCloseTo(volume, within(2e-4));
            }
            assertThat(solid(new LoneDrop(-bond, 0.9))).isCloseTo(0.9, within(2e-4));
        }
        // Without weight it is part of a sphere: V = π h (3 + h²)/6 over a face of radius 1.
        double h = 0.8;
        assertThat(new LoneDrop(1e-12, Math.PI * h * (3 + h * h) / 6).height()).isCloseTo(h, within(1e-8));
    }

    /** The law that the lab hands out, for drops of 5 R³: R/ℓ = 3.66 − 1.043 h/R. */
    @Test
    void theLabsLawHoldsToOnePartInAHundred() {
        for (Liquid liquid : Liquid.values()) {
            double bond = liquid.density(20) * 9.81 * 4e-6 / liquid.surfaceTension(20);
            double law = 3.66 - 1.043 * new Stretching(bond, 5, 1.5).widest().gap();
            assertThat(law / Math.sqrt(bond)).as("%s", liquid).isCloseTo(1, within(0.01));
        }
    }

    private static double solid(LoneDrop drop) {
        int n = 20_000;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            double r = drop.radiusAt(drop.height() * (i + 0.5) / n);
            sum += Math.PI * r * r * drop.height() / n;
        }
        return sum;
    }

    @Test
    void theStrongerItHoldsTogetherTheFurtherItIsDrawnAndThicknessDoesNotCount() {
        assertThat(widest("water")).isGreaterThan(widest("glycerol"));
        assertThat(widest("glycerol")).isGreaterThan(widest("ethanediol"));
        assertThat(widest("decane")).isGreaterThan(widest("octane"));
        assertThat(widest("octane")).isGreaterThan(widest("hexane"));
        assertThat(Liquid.GLYCEROL.viscosity(20)).isGreaterThan(1000 * Liquid.WATER.viscosity(20));
    }

    @Test
    void itPartsAtTheSameGapHoweverItIsDrawn() {
        Run run = new Run(BRIDGE, Settings.of(BRIDGE.manifest(), Map.of()), 1);
        run.act(new Action.Perform("turn", Map.of()));
        run.seek(1);
        run.act(new Action.Perform("hold", Map.of()));
        run.seek(4);
        double held = run.read(BRIDGE.gap);
        assertThat(held).isCloseTo(0.0035, within(1e-12));
        run.act(new Action.Perform("turn", Map.of()));
        run.seek(12);
        assertThat(run.outcome(BRIDGE.widest)).isCloseTo(widest("water"), within(1e-12));
        assertThat(run.isOver()).isTrue();
    }

    private static double widest(String liquid) {
        Run run = new Run(BRIDGE, Settings.of(BRIDGE.manifest(), Map.of("liquid", liquid)), 1);
        run.act(new Action.Perform("turn", Map.of()));
        run.seek(12);
        return run.outcome(BRIDGE.widest);
    }

    /** Complete elliptic integral of the first kind by the arithmetic–geometric mean. */
    private static double first(double k2) {
        double a = 1;
        double g = Math.sqrt(1 - k2);
        while (Math.abs(a - g) > 1e-15) {
            double next = (a + g) / 2;
            g = Math.sqrt(a * g);
            a = next;
        }
        return Math.PI / 2 / a;
    }

    /** Of the second kind, by Simpson's rule over a smooth period. */
    private static double second(double k2) {
        int n = 2000;
        double sum = 0;
        for (int i = 0; i < n; i++) {
            double s = Math.sin(Math.PI / 2 * (i + 0.5) / n);
            sum += Math.sqrt(1 - k2 * s * s);
        }
        return sum * Math.PI / 2 / n;
    }
}
