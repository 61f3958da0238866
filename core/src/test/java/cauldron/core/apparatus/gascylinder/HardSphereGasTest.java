package cauldron.core.apparatus.gascylinder;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.RandomSource;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** The molecules' motion against conservation laws, kinetic theory and the virial equation of hard spheres. */
class HardSphereGasTest {

    private static final double K = Gas.BOLTZMANN;

    /** A box with gas in it, and a count of what happens. */
    private static final class Box implements HardSphereGas.Watcher {
        final Molecules m;
        final Piston piston;
        final HeatExchange heat;
        final HardSphereGas gas;
        final double length;
        double time;
        int escaped;

        Box(String gas1, String gas2, double length, double height, double depth, double longest, int seed) {
            Gas a = GasTest.gas(gas1);
            Gas b = GasTest.gas(gas2);
            this.length = length;
            m = new Molecules(new double[] {a.mass(), b.mass()}, new double[] {a.diameter() / 2, b.diameter() / 2});
            piston = new Piston(length, 0.3 * length, longest);
            heat = new HeatExchange(new RandomSource(seed));
            gas = new HardSphereGas(m, piston, heat, height, depth, longest);
        }

        void fill(int kind, int n, double kelvin) {
            gas.insert(kind, n, kelvin, 0, length, heat.chance);
        }

        void forPairHits(double hits) {
            while (gas.pairHits < hits) {
                time += 1e-12;
                gas.advanceTo(time, this);
            }
        }

        void forSeconds(double seconds) {
            time += seconds;
            gas.advanceTo(time, this);
        }

        double energy() {
            double sum = 0;
            for (int i = 0; i < m.count; i++) {
                sum += m.energy(i);
            }
            return sum;
        }

        double temperature() {
            return 2 * energy() / (3 * m.count * K);
        }

        double meanEnergy(int kind) {
            double sum = 0;
            int n = 0;
            for (int i = 0; i < m.count; i++) {
                sum += m.kind[i] == kind ? m.energy(i) : 0;
                n += m.kind[i] == kind ? 1 : 0;
            }
            return sum / n;
        }

        @Override
        public void pair(int i, int j, double at) {
        }

        @Override
        public void wall(int i, double at) {
        }

        @Override
        public void escaped(int i, double at) {
            escaped++;
        }

        @Override
        public void pistonEnded(double at) {
        }
    }

    @Test
    void energyIsKeptToTwelveFiguresOverAMillionCollisions() {
        Box box = new Box("nitrogen", "krypton", 20e-9, 20e-9, 16e-9, 20e-9, 3);
        box.fill(0, 600, 300);
        box.fill(1, 400, 300);
        double before = box.energy();
        box.forPairHits(1e6);
        assertThat(box.energy()).isCloseTo(before, within(1e-12 * before));
    }

    @Test
    void discsInAPlaneMeetAsOftenAsKineticTheoryOfTwoDimensionsSays() {
        int n = 1000;
        double side = 886;
        Discs discs = new Discs(n, side, 10, 60, 2);
        double before = discs.energy();
        assertThat(before).isCloseTo(0.5 * n * 60 * 60, within(1e-9 * before));
        discs.advance(30);
        double from = discs.collisions();
        discs.advance(60);
        double each = (discs.collisions() - from) / 60 * 2 / n;
        // Enskog's rate of discs: √(2π) n d v_rms g, with g = (1 − 7η/16)/(1 − η)² (D. Henderson, Mol. Phys. 30 (1975) 971).
        double eta = n * Math.PI * 25 / (side * side);
        double g = (1 - 7 * eta / 16) / Math.pow(1 - eta, 2);
        double expected = Math.sqrt(2 * Math.PI) * n / (side * side) * 10 * 60 * g;
        assertThat(each).isCloseTo(expected, within(0.03 * expected));
        assertThat(discs.energy()).isCloseTo(before, within(1e-12 * before));
    }

    @Test
    void noTwoMoleculesOverlapAndNoneLeavesTheBox() {
        Box box = new Box("sulfur-hexafluoride", "helium", 20e-9, 20e-9, 16e-9, 20e-9, 4);
        box.fill(0, 700, 300);
        box.fill(1, 700, 300);
        box.forPairHits(50_000);
        Molecules m = box.m;
        for (int i = 0; i < m.count; i++) {
            double x = m.xAt(i, box.time);
            double y = m.yAt(i, box.time);
            double z = m.zAt(i, box.time);
            assertThat(Math.min(Math.min(x, y), z)).isGreaterThan(-1e-20);
            assertThat(Math.max(Math.max(x, y), z + 4e-9)).isLessThan(20e-9 + 1e-20);
            for (int j = 0; j < i; j++) {
                double apart = Math.sqrt(Math.pow(m.xAt(j, box.time) - x, 2) + Math.pow(m.yAt(j, box.time) - y, 2)
                        + Math.pow(m.zAt(j, box.time) - z, 2));
                assertThat(apart).isGreaterThan((m.radius[m.kind[i]] + m.radius[m.kind[j]]) * (1 - 1e-9));
            }
        }
    }

    @Test
    void allThatMeetInABruteForceSearchIsMetInTheCells() {
        // The soonest collision of all pairs, looked for without cells, is the one that happens next.
        Box box = new Box("sulfur-hexafluoride", "helium", 20e-9, 20e-9, 16e-9, 20e-9, 5);
        box.fill(0, 200, 300);
        box.fill(1, 200, 300);
        box.forPairHits(500);
        for (int n = 0; n < 200; n++) {
            double soonest = Double.POSITIVE_INFINITY;
            for (int i = 0; i < box.m.count; i++) {
                for (int j = 0; j < i; j++) {
                    soonest = Math.min(soonest, box.m.meeting(i, j));
                }
            }
            double hits = box.gas.pairHits;
            double walls = box.gas.wallHits;
            box.gas.advanceTo(soonest - 1e-20, box);
            if (box.gas.wallHits == walls) {
                assertThat(box.gas.pairHits).isEqualTo(hits);
                box.gas.advanceTo(soonest, box);
                assertThat(box.gas.pairHits).isEqualTo(hits + 1);
            }
            box.time = soonest + 1e-15;
            box.gas.advanceTo(box.time, box);
        }
    }

    @Test
    void pressureIsThatOfTheHardSphereVirial() {
        for (int n : new int[] {500, 2500}) {
            Box box = new Box("sulfur-hexafluoride", "helium", 24e-9, 24e-9, 24e-9, 24e-9, 6);
            box.fill(0, n, 300);
            box.forPairHits(20_000);
            double impulse = box.gas.impulse;
            double from = box.time;
            box.forPairHits(300_000);
            double p = (box.gas.impulse - impulse) / (box.time - from);
            double volume = box.gas.volume(box.time);
            double eta = n * Math.PI / 6 * Math.pow(2 * box.m.radius[0], 3) / volume;
            // N. F. Carnahan and K. E. Starling, J. Chem. Phys. 51 (1969) 635: all virial coefficients of hard spheres.
            double z = (1 + eta + eta * eta - eta * eta * eta) / Math.pow(1 - eta, 3);
            double expected = n * K * box.temperature() / volume * z;
            assertThat(p).as("N = %d, η = %.4f", n, eta).isCloseTo(expected, within(0.01 * expected));
        }
    }

    @Test
    void speedsBecomeMaxwellsWhateverTheyWere() {
        Box box = new Box("argon", "helium", 30e-9, 30e-9, 24e-9, 30e-9, 7);
        box.fill(0, 5000, 300);
        for (int i = 0; i < box.m.count; i++) {
            double s = 400 / Math.sqrt(box.m.speedSquared(i));
            box.m.vx[i] *= s;
            box.m.vy[i] *= s;
            box.m.vz[i] *= s;
        }
        box.gas.lookAround(0);
        assertThat(kolmogorov(box)).isGreaterThan(0.4);
        box.forPairHits(100_000);
        // The critical value for 1 % is 1.63/√n (N. Smirnov, Ann. Math. Stat. 19 (1948) 279).
        assertThat(kolmogorov(box)).isLessThan(1.63 / Math.sqrt(5000));
    }

    private static double kolmogorov(Box box) {
        double[] speeds = new double[box.m.count];
        for (int i = 0; i < speeds.length; i++) {
            speeds[i] = Math.sqrt(box.m.speedSquared(i));
        }
        Arrays.sort(speeds);
        MaxwellBoltzmann law = new MaxwellBoltzmann(box.m.mass[0], K * box.temperature());
        double most = 0;
        for (int i = 0; i < speeds.length; i++) {
            double f = law.slower(speeds[i]);
            most = Math.max(most, Math.max(f - (double) i / speeds.length, (i + 1.0) / speeds.length - f));
        }
        return most;
    }

    @Test
    void twoGasesComeToTheSameMeanKineticEnergy() {
        Box box = new Box("krypton", "helium", 24e-9, 24e-9, 20e-9, 24e-9, 8);
        box.fill(0, 1000, 150);
        box.fill(1, 1000, 600);
        assertThat(box.meanEnergy(1) / box.meanEnergy(0)).isGreaterThan(3.5);
        box.forPairHits(40_000);
        double ratio = 0;
        int n = 40;
        for (int i = 0; i < n; i++) {
            box.forPairHits(box.gas.pairHits + 2000);
            ratio += box.meanEnergy(1) / box.meanEnergy(0) / n;
        }
        assertThat(ratio).isCloseTo(1, within(0.02));
    }

    @Test
    void theLighterGasEscapesFasterByGrahamsLaw() {
        double[] rates = new double[2];
        for (int run = 0; run < 2; run++) {
            Box box = new Box(run == 0 ? "helium" : "krypton", "argon", 40e-9, 60e-9, 16e-9, 40e-9, 9);
            box.fill(0, 4000, 300);
            box.gas.setHole(4e-9);
            double stretch = run == 0 ? 3e-10 : 3e-10 * Math.sqrt(83.798 / 4.0026);
            box.forSeconds(stretch);
            rates[run] = box.escaped / stretch;
            // Effusion: n v̄ A / 4, with the mean of the density over the stretch.
            double density = (4000 - box.escaped / 2.0) / (40e-9 * 60e-9 * 16e-9);
            double mean = Math.sqrt(8 * K * 300 / (Math.PI * box.m.mass[0]));
            double expected = density * mean * 4e-9 * 16e-9 / 4 * stretch;
            assertThat((double) box.escaped).isCloseTo(expected, within(3.5 * Math.sqrt(expected)));
        }
        assertThat(rates[0] / rates[1]).isCloseTo(Math.sqrt(83.798 / 4.0026), within(0.6));
    }

    @Test
    void wallsHeldAtATemperatureBringTheGasToIt() {
        Box box = new Box("neon", "helium", 20e-9, 20e-9, 16e-9, 20e-9, 10);
        box.fill(0, 1500, 300);
        box.heat.set(0, HeatExchange.Mode.HELD, 0, 750);
        double before = box.energy();
        box.forSeconds(1e-9);
        assertThat(box.energy() - before).isCloseTo(box.heat.given, within(1e-9 * before));
        double mean = 0;
        for (int i = 0; i < 50; i++) {
            box.forSeconds(2e-11);
            mean += box.temperature() / 50;
        }
        assertThat(mean).isCloseTo(750, within(15.0));
        assertThat(kolmogorov(box)).isLessThan(1.63 / Math.sqrt(1500));
    }

    @Test
    void theHeaterGivesItsPowerTimesTheTime() {
        Box box = new Box("nitrogen", "helium", 20e-9, 20e-9, 16e-9, 20e-9, 11);
        box.fill(0, 1000, 300);
        for (double power : new double[] {8e-9, -2e-9}) {
            double before = box.energy();
            double given = box.heat.given;
            box.heat.set(box.time, HeatExchange.Mode.HEATER, power, 0);
            box.forSeconds(5e-10);
            assertThat(box.heat.given - given).isCloseTo(power * 5e-10, within(0.01 * Math.abs(power) * 5e-10));
            assertThat(box.energy() - before).isCloseTo(box.heat.given - given, within(1e-9 * before));
        }
    }

    @Test
    void aSlowPistonCompressesAlongTheAdiabat() {
        Box box = new Box("argon", "helium", 40e-9, 20e-9, 16e-9, 40e-9, 12);
        box.fill(0, 1500, 300);
        double before = box.energy();
        box.piston.drive(0, 20e-9, 4);
        box.gas.pistonChanged();
        box.forSeconds(21e-9 / 4);
        assertThat(box.piston.at(box.time)).isEqualTo(20e-9);
        assertThat(box.energy() - before).isCloseTo(box.gas.work, within(1e-9 * before));
        // T V^(2/3) is constant for single atoms; hard spheres add a little for their own volume.
        double eta = 1500 * Math.PI / 6 * Math.pow(2 * box.m.radius[0], 3) / box.gas.volume(box.time);
        double ideal = 300 * Math.pow(2, 2.0 / 3);
        assertThat(box.temperature()).isBetween(ideal * (1 - 0.01), ideal * (1 + 4 * eta + 0.02));
    }

    @Test
    void aLoadedPistonComesToRestWhereThePressuresAgreeAndKeepsTheEnergyAccount() {
        Box box = new Box("nitrogen", "helium", 40e-9, 40e-9, 16e-9, 150e-9, 13);
        box.fill(0, 1200, 300);
        double outside = 150e3;
        double area = 40e-9 * 16e-9;
        box.piston.load(0, outside * area);
        box.gas.pistonChanged();
        double before = box.energy() + outside * area * 40e-9;
        box.forSeconds(3e-9);
        double u = box.piston.speed(box.time);
        double now = box.energy() + outside * area * box.piston.at(box.time) + 0.5 * Piston.MASS * u * u;
        assertThat(now).isCloseTo(before, within(1e-10 * before));
        double length = 0;
        for (int i = 0; i < 400; i++) {
            box.forSeconds(2e-11);
            length += box.piston.at(box.time) / 400;
        }
        double expected = 1200 * K * box.temperature() / outside / area;
        assertThat(length).isCloseTo(expected, within(0.03 * expected));
    }

    @Test
    void thePartitionKeepsTheGasesApartUntilItIsTakenOut() {
        Box box = new Box("helium", "krypton", 40e-9, 20e-9, 16e-9, 40e-9, 14);
        box.gas.insert(0, 400, 300, 0, 20e-9, box.heat.chance);
        box.gas.insert(1, 400, 300, 20e-9, 40e-9, box.heat.chance);
        box.gas.setPartition(20e-9);
        box.forSeconds(3e-10);
        for (int i = 0; i < box.m.count; i++) {
            double x = box.m.xAt(i, box.time);
            assertThat(box.m.kind[i] == 0 ? x : 40e-9 - x).isBetween(-1e-20, 20e-9 + 1e-20);
        }
        double before = box.energy();
        box.gas.setPartition(Double.NaN);
        box.forSeconds(1.5e-9);
        int left = 0;
        for (int i = 0; i < 400; i++) {
            left += box.m.xAt(i, box.time) < 20e-9 ? 1 : 0;
        }
        assertThat(left).isBetween(150, 250);
        assertThat(box.energy()).isCloseTo(before, within(1e-12 * before));
    }
}
