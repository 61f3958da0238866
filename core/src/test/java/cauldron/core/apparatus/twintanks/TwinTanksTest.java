package cauldron.core.apparatus.twintanks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import cauldron.core.apparatus.Event;
import cauldron.core.apparatus.Run;
import cauldron.core.apparatus.Settings;
import cauldron.core.apparatus.StopAt;
import cauldron.core.matter.Water;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Twin tanks: Newton's exponential through a core, energy kept, and which way water goes by its real density. */
class TwinTanksTest {

    private static final TwinTanks TANKS = new TwinTanks();

    private static Run run(Object... settings) {
        return new Run(TANKS, Settings.of(TANKS.manifest(), Tree.of(settings)), 1);
    }

    private static double celsius(Run run, boolean above) {
        return run.read(above ? TANKS.above : TANKS.below) - 273.15;
    }

    private static double to(Run run, Event event) {
        assertThat(run.advance(7200, new StopAt.Happening(event, 1))).as(event.id()).isTrue();
        return run.time();
    }

    @ParameterizedTest
    @CsvSource({"copper, 401, narrow, 4e-4", "aluminium, 236, wide, 12e-4", "steel, 50, wide, 12e-4", "glass, 1, "
            + "narrow, 4e-4"})
    void throughACoreTheDifferenceDiesAwayWithItsTimeConstant(String core, double k, String section, double area) {
        Run run = run("upper", 51, "lower", 49, "neck", core, "section", section);
        double c1 = 5e-4 * Water.density(51) * Water.heatCapacity(51);
        double c2 = 5e-4 * Water.density(49) * Water.heatCapacity(49);
        double tau = 1 / (k * area / 0.05 * (1 / c1 + 1 / c2));
        for (double part : new double[] {0.3, 1, 2.5}) {
            run.seek(part * tau);
            assertThat(celsius(run, true) - celsius(run, false)).isCloseTo(2 * Math.exp(-part), within(2e-4));
        }
        assertThat(run.read(TANKS.mixed)).as("nothing goes through").isZero();
    }

    /**
     * The time to a temperature by quadrature: all heat stays in the two waters, so the one temperature gives the other,
     * and t = ∫ m c dT / (k A/L (T₁ − T₂)).
     */
    @ParameterizedTest
    @CsvSource({"51, 49, 50.3", "20, 70, 38", "90, 5, 60"})
    void throughACoreItTakesTheTimeThatAnIntegralGives(double above, double below, double until) {
        double m1 = 5e-4 * Water.density(above);
        double m2 = 5e-4 * Water.density(below);
        double all = m1 * Water.enthalpy(above) + m2 * Water.enthalpy(below);
        int n = 2000;
        double step = (until - above) / n;
        double time = 0;
        for (int i = 0; i <= n; i++) {
            double t1 = above + i * step;
            double t2 = below;
            for (int k = 0; k < 20; k++) {
                t2 -= (m1 * Water.enthalpy(t1) + m2 * Water.enthalpy(t2) - all) / (m2 * Water.heatCapacity(t2));
            }
            double weight = i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2;
            time += weight * step / 3 * m1 * Water.heatCapacity(t1) / (401 * 12e-4 / 0.05 * (t2 - t1));
        }
        Run run = run("upper", above, "lower", below, "neck", "copper", "section", "wide");
        run.seek(time);
        assertThat((celsius(run, true) - until) / (above - until)).isCloseTo(0, within(1e-6));
    }

    @ParameterizedTest
    @EnumSource(Neck.class)
    void whatOneTankLosesTheOtherTheRoomOrBothHave(Neck neck) {
        for (double loss : new double[] {0, 0.8}) {
            for (double[] start : new double[][] {{18, 83}, {83, 18}, {6, 3}}) {
                Run run = run("upper", start[0], "lower", start[1], "neck", neck.id, "section", "wide", "loss", loss);
                double all = run.read(TANKS.energyTotal);
                for (double t = 60; t <= 1200; t += 60) {
                    run.seek(t);
                    assertThat(run.read(TANKS.energyTotal)).as("%s at %s s", neck, t).isCloseTo(all,
                            within(1e-9 * all));
                }
            }
        }
    }

    @Test
    void whereTheyMeetIsTheSameWhateverLiesBetween() {
        double expected = Double.NaN;
        for (String neck : new String[] {"copper", "aluminium", "open"}) {
            Run run = run("upper", 20, "lower", 70, "neck", neck, "section", "wide");
            to(run, TANKS.even);
            double met = run.outcome(TANKS.reached) - 273.15;
            expected = Double.isNaN(expected) ? met : expected;
            assertThat(met).as(neck).isCloseTo(expected, within(0.02)).isBetween(44.0, 46.0);
        }
    }

    @ParameterizedTest
    @CsvSource({"20, 70, true", "70, 20, false", "60, 61, true", "61, 60, false", "4, 2, true", "2, 4, false",
        "2, 5, false", "2, 7, true", "14, 12, false", "9, 4, false"})
    void theDenserWaterSinksAlsoAroundFourDegrees(double above, double below, boolean turns) {
        Run run = run("upper", above, "lower", below);
        assertThat(run.read(TANKS.flow) > 0).isEqualTo(turns);
        assertThat(run.read(TANKS.densityAbove) > run.read(TANKS.densityBelow)).isEqualTo(turns);
        run.seek(1200);
        if (turns) {
            assertThat(run.read(TANKS.mixed)).isGreaterThan(0.05);
        } else {
            assertThat(run.read(TANKS.mixed)).as("diffusion alone").isLessThan(1e-4).isPositive();
        }
    }

    @Test
    void hotBelowIsMixedWithinMinutesAndHotAboveNotInHours() {
        Run below = run("upper", 20, "lower", 70, "section", "wide");
        assertThat(to(below, TANKS.blended)).isBetween(60.0, 600.0);
        assertThat(below.outcome(TANKS.blendedAt)).isEqualTo(below.time());
        Run above = run("upper", 70, "lower", 20, "section", "wide");
        above.seek(7200);
        assertThat(above.outcome(TANKS.blendedAt)).isNaN();
        assertThat(celsius(above, true) - celsius(above, false)).as("water conducts badly").isGreaterThan(40);
    }

    @Test
    void theExchangeFlowHasThePublishedLimits() {
        // A hole in a thin wall, and a long tube: 0.055 and 0.32 (L/D)^(−3/2), each times √(D⁵ g Δρ/ρ).
        double wide = 0.2;
        double hole = TwinTanksExperiment.exchange(Math.PI * wide * wide / 4 * 1e6, 0.01);
        assertThat(hole / Math.sqrt(Math.pow(wide * 1e3, 5) * 9.81 * 0.01)).isCloseTo(0.055, within(0.001));
        double thin = 0.001;
        double tube = TwinTanksExperiment.exchange(Math.PI * thin * thin / 4, 0.01);
        double r = 0.05 / thin;
        assertThat(tube / Math.sqrt(Math.pow(thin, 5) * 9.81 * 0.01) * Math.pow(r, 1.5)).isCloseTo(0.32, within(0.01));
    }

    @Test
    void degreesAreDegreesWhereverTheyAreRead() {
        Run run = run("upper", 20, "lower", 70, "neck", "copper");
        assertThat(run.read(TANKS.above)).as("SI inside").isCloseTo(293.15, within(1e-12));
        assertThat(run.advance(3600, new StopAt.Crossing(TANKS.above, 273.15 + 30))).isTrue();
        assertThat(celsius(run, true)).isCloseTo(30, within(1e-9));
        assertThat(TANKS.above.own(run.read(TANKS.above))).isCloseTo(30, within(1e-9));
        assertThat(run.settings().toTree().get("upper")).isEqualTo(20.0);
    }
}
