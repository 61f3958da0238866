package cauldron.core.apparatus;

import cauldron.core.Tree;
import cauldron.core.inventory.Inventory;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Apparatus that are ruled by differential equations, against the same laws written down once more and followed in tiny
 * fixed steps, over settings drawn by chance. Crash rig, rail run and flask have tests of their own.
 */
class GuardTest {

    private static Guard guard(String id) {
        return new Guard(Inventory.get(id));
    }

    private static Run run(String id, Settings s) {
        return new Run(Inventory.get(id), s, 1);
    }

    private static double number(Settings s, String id) {
        return ((Number) s.toTree().get(id)).doubleValue();
    }

    private static boolean on(Settings s, String id) {
        return Boolean.TRUE.equals(s.toTree().get(id));
    }

    private static double gravity(Settings s) {
        return Map.of("earth", 9.81, "moon", 1.62, "mars", 3.73, "jupiter", 25.92)
                .getOrDefault(s.toTree().get("place"), number(s, "gravity"));
    }

    private static double read(Run run, String channel) {
        return run.read(run.manifest().channel(channel));
    }

    private static double first(Run run, String event) {
        return Guard.first(run, run.manifest().event(event));
    }

    private static double came(Run run, String outcome) {
        return run.outcome(run.manifest().outcome(outcome));
    }

    @Test
    void pendulum() {
        Guard guard = guard("pendulum");
        guard.over((s, i) -> {
            double l = number(s, "length");
            double m = number(s, "mass") / 1000;
            double g = gravity(s);
            Run run = run("pendulum", s);
            double r = run.scene().of(run.manifest().sceneField("bob.radius"));
            double air = on(s, "drag") ? 0.5 * 1.204 * 0.47 * Math.PI * r * r / m : 0;
            double friction = number(s, "friction") / 1000;
            if (on(s, "held")) {
                run.act(new Action.Perform("open-catch", Map.of()));
            }
            double[] y = {Math.toRadians(number(s, "angle")), 0};
            Slow.Law law = (at, dy) -> {
                dy[0] = at[1];
                dy[1] = -g / l * Math.sin(at[0]) - friction / (m * l * l) * at[1] - air * l * Math.abs(at[1]) * at[1];
            };
            double start = 0.5 * m * l * l * y[1] * y[1] + m * g * l * (1 - Math.cos(y[0]));
            double h = 2e-4;
            double lowest = Double.NaN;
            for (int k = 1; k <= 30_000; k++) {
                double before = y[0];
                Slow.step(law, h, y);
                if (Double.isNaN(lowest) && before * y[0] < 0) {
                    lowest = Slow.when((k - 1) * h, h, before, y[0]);
                }
                if (k % 5000 == 0) {
                    run.seek(k * h);
                    guard.holds("angle", read(run, "angle"), y[0], 1e-8);
                    guard.holds("angular speed", read(run, "angular-speed"), y[1], 1e-7);
                    double left = 0.5 * m * l * l * y[1] * y[1] + m * g * l * (1 - Math.cos(y[0]));
                    guard.holds("thermal energy", read(run, "thermal"), start - left, 1e-7 * m * g * l);
                }
            }
            guard.holds("lowest point", first(run, "lowest"), lowest, 1e-6);
        });
    }

    @Test
    void hangingSpring() {
        Guard guard = guard("hanging-spring");
        guard.over((s, i) -> {
            Object which = s.toTree().get("spring");
            double k = Map.of("soft", 8.0, "medium", 20.0, "stiff", 45.0).getOrDefault(which, number(s, "constant"));
            double coil = !on(s, "heavy") ? 0
                    : Map.of("soft", 0.014, "medium", 0.022, "stiff", 0.035).getOrDefault(which, number(s, "coil") / 1000);
            double m = number(s, "mass") / 1000;
            double c = number(s, "damping");
            double g = gravity(s);
            // ω √(m_s/k) tan(ω √(m_s/k)) = m_s/m.
            double low = 0;
            double high = Math.PI / 2;
            for (int half = 0; half < 50; half++) {
                double z = (low + high) / 2;
                low = z * Math.tan(z) < coil / m ? z : low;
                high = z * Math.tan(z) < coil / m ? high : z;
            }
            double inertia = coil > 0 ? coil / (low * low) : m;
            Run run = run("hanging-spring", s);
            if (on(s, "held")) {
                run.act(new Action.Perform("let-go", Map.of()));
            }
            double[] y = {m * g / k + number(s, "drawn") / 1000, 0, 0};
            Slow.Law law = (at, dy) -> {
                dy[0] = at[1];
                dy[1] = (m * g - k * at[0] - c * at[1]) / inertia;
                dy[2] = c * at[1] * at[1];
            };
            double h = 1e-4;
            double turned = Double.NaN;
            for (int n = 1; n <= 40_000; n++) {
                double before = y[1];
                Slow.step(law, h, y);
                if (Double.isNaN(turned) && before > 1e-8 && y[1] <= 0) {
                    turned = Slow.when((n - 1) * h, h, before, y[1]);
                }
                if (n % 8000 == 0) {
                    run.seek(n * h);
                    guard.holds("extension", read(run, "extension"), y[0], 3e-6);
                    guard.holds("velocity", read(run, "velocity"), -y[1], 3e-5);
                    guard.holds("thermal energy", read(run, "thermal"), y[2], 1e-6 + 1e-5 * y[2]);
                }
            }
            if (!Double.isNaN(turned)) {
                guard.holds("first lowest", first(run, "lowest"), turned, 2e-4);
            }
        });
    }

    @Test
    void glider() {
        Guard guard = guard("propeller-glider");
        guard.over((s, i) -> {
            double m = (number(s, "glider") + number(s, "added")) / 1000;
            double full = number(s, "thrust");
            double drag = number(s, "drag");
            double throttle = number(s, "throttle") / 100;
            boolean cut = on(s, "cut");
            Run run = run("propeller-glider", s);
            run.act(new Action.Perform("start", Map.of()));
            if (!cut) {
                run.seek(1);
                run.act(new Action.Perform("cut", Map.of()));
            }
            double[] y = {0, 0, 0};
            double h = 5e-5;
            boolean stopped = false;
            double buffer = Double.NaN;
            for (int k = 1; k <= 60_000; k++) {
                boolean held = !cut && (k - 1) * h < 1 - 1e-9;
                double at = y[0];
                Slow.step((p, dy) -> {
                    double pull = held ? Math.max(0, 40 * p[0] + 4 * p[1]) : 0;
                    dy[0] = p[1];
                    dy[1] = (full * p[2] * p[2] * (1 - p[1] / 150) - drag * p[1] - pull) / m;
                    dy[2] = (throttle - p[2]) / 0.12;
                }, h, y);
                if (y[0] >= 1.9 && !stopped) {
                    stopped = true;
                    buffer = Slow.when((k - 1) * h, h, at - 1.9, y[0] - 1.9);
                }
                if (y[0] < 0) {
                    y[0] = 0;
                    y[1] = Math.max(0, y[1]);
                }
                if (k % 10_000 == 0 && !stopped) {
                    run.seek(k * h);
                    guard.holds("position", read(run, "position"), y[0], 1e-6);
                    guard.holds("speed", read(run, "speed"), y[1], 1e-5);
                }
            }
            run.seek(3);
            guard.holds("buffer", first(run, "buffer"), buffer, 1e-4);
        });
    }

    @Test
    void trolley() {
        Guard guard = guard("spring-trolley");
        guard.over((s, i) -> {
            double k = Map.of("soft", 12.0, "medium", 24.0, "stiff", 48.0)
                    .getOrDefault(s.toTree().get("spring"), number(s, "constant"));
            double m = number(s, "mass");
            double rub = number(s, "rolling") * m * 9.81;
            double back = number(s, "back") / 100;
            Run run = run("spring-trolley", s);
            double from = 0;
            if (!on(s, "latched")) {
                run.act(new Action.Perform("draw", Map.of()));
                run.seek(30);
                from = 30;
            }
            run.act(new Action.Perform("let-go", Map.of()));
            double[] y = {-back, 0};
            double h = 1e-5;
            double slack = Double.NaN;
            double slackSpeed = Double.NaN;
            double rest = Double.NaN;
            if (k * back <= rub) {
                rest = 0;
            }
            for (int n = 1; n <= 500_000 && Double.isNaN(rest); n++) {
                double before = y[0];
                double fast = y[1];
                Slow.step((p, dy) -> {
                    dy[0] = p[1];
                    dy[1] = (Math.max(0, -k * p[0]) - rub) / m;
                }, h, y);
                if (Double.isNaN(slack) && y[0] >= 0) {
                    slack = Slow.when((n - 1) * h, h, before, y[0]);
                    slackSpeed = y[1];
                }
                if (y[1] <= 0 || y[0] >= 1.4) {
                    rest = y[0] >= 1.4 ? Slow.when((n - 1) * h, h, before - 1.4, y[0] - 1.4)
                            : Slow.when((n - 1) * h, h, fast, y[1]);
                }
            }
            run.seek(from + 5);
            guard.holds("slack", first(run, "slack") - from, slack, 1e-6);
            guard.holds("speed at slack", came(run, "slack-speed"), slackSpeed, 1e-5);
            guard.holds("rest", first(run, "rest") - from, rest, 2e-5);
            double start = 0.5 * k * back * back;
            double left = 0.5 * k * Math.pow(Math.min(0, y[0]), 2);
            if (!Double.isNaN(rest)) {
                double drawing = on(s, "latched") ? 0 : rub * back + 0.5 * m * 0.05 * 0.05;
                guard.holds("thermal energy", read(run, "thermal"), start - left + drawing, 1e-5 * (start + 0.01));
            }
        });
    }

    @Test
    void swiftShot() {
        Guard guard = guard("swift-shot");
        guard.over((s, i) -> {
            double area = Math.PI * 1e-4;
            double p0 = number(s, "pressure") * 1e5 + 101_325;
            double m = number(s, "mass") / 1000;
            double l = number(s, "barrel") / 100;
            double k = 0.5 * 1.204 * 0.47 * area;
            Run run = run("swift-shot", s);
            run.act(new Action.Perform("fire", Map.of()));
            run.seek(0.1);
            double[] y = {0.01 - l, 0, 0, 0};
            double h = 2e-7;
            double clear = Double.NaN;
            double muzzle = Double.NaN;
            double net = Double.NaN;
            for (int n = 1; n <= 400_000 && Double.isNaN(net); n++) {
                double at = y[0];
                boolean inside = Double.isNaN(clear);
                Slow.step((q, dy) -> {
                    double v = Math.hypot(q[1], q[3]);
                    dy[0] = q[1];
                    dy[2] = q[3];
                    dy[1] = inside ? area * (p0 * Math.pow(4e-4 / (4e-4 + area * (q[0] - 0.01 + l)), 1.4) - 101_325) / m
                            : -k * v * q[1] / m;
                    dy[3] = inside ? 0 : -k * v * q[3] / m - 9.81;
                }, h, y);
                if (inside && y[0] >= 0.01) {
                    clear = Slow.when((n - 1) * h, h, at - 0.01, y[0] - 0.01);
                    muzzle = y[1];
                }
                if (y[0] >= 2.39) {
                    net = Slow.when((n - 1) * h, h, at - 2.39, y[0] - 2.39);
                }
            }
            guard.holds("clear of the muzzle", first(run, "clear"), clear, 1e-8);
            guard.holds("muzzle speed", came(run, "muzzle-speed"), muzzle, 2e-2);
            guard.holds("net", first(run, "caught"), net, 1e-5);
        });
    }

    /** Mass, drag coefficient times area, restitution, volume. */
    private static final Map<String, double[]> THINGS = Map.of("nut", new double[] {0.05, 0.8 * 7.1e-4, 0.5, 6.4e-6},
            "cork", new double[] {0.012, 0.47 * 1.6e-3, 0.55, 4.8e-5}, "cone", new double[] {0.0025, 0.5 * 1.13e-2, 0.05, 3e-6},
            "glove", new double[] {0.045, 1.1 * 0.015, 0.05, 1.2e-4}, "foam", new double[] {0.03, 1.05 * 0.01, 0.35, 1e-3},
            "net", new double[] {0.4, 0.7 * 6e-3, 0.1, 1.5e-4}, "cloth", new double[] {0.25, 0.5 * 5e-3, 0.02, 2.4e-4},
            "flare", new double[] {0.15, 0.9 * 1.2e-3, 0.05, 9e-5});

    @Test
    void dropTower() {
        Guard guard = guard("drop-tower");
        guard.over((s, i) -> {
            Run run = run("drop-tower", s);
            run.act(new Action.Perform("let-go", Map.of()));
            run.seek(12);
            fall(guard, s, run, (String) s.toTree().get("thing"), "1");
            if (on(s, "two")) {
                fall(guard, s, run, (String) s.toTree().get("second"), "2");
            }
        });
    }

    private static void fall(Guard guard, Settings s, Run run, String thing, String which) {
        double[] of = THINGS.get(thing);
        double rho = Map.of("air", 1.225, "none", 0.0, "thin", 0.736, "carbon-dioxide", 1.87).get(s.toTree().get("medium"));
        double g = gravity(s);
        double height = number(s, "height");
        double opens = thing.equals("flare") ? number(s, "opens") : -1;
        double[] y = {height, 0};
        double h = 2e-5;
        double contact = Double.NaN;
        double struck = Double.NaN;
        double bounce = Double.NaN;
        for (int n = 1; n <= 600_000 && Double.isNaN(bounce); n++) {
            double before = y[0];
            double area = of[1] + (y[0] <= opens ? 0.13 : 0);
            Slow.step((p, dy) -> {
                dy[0] = p[1];
                dy[1] = -(1 - rho * of[3] / of[0]) * g - 0.5 * rho * area * p[1] * Math.abs(p[1]) / of[0];
            }, h, y);
            if (y[0] <= 0 && y[1] < 0) {
                double at = Slow.when((n - 1) * h, h, before, y[0]);
                if (Double.isNaN(contact)) {
                    contact = at;
                    struck = -y[1];
                } else {
                    bounce = at;
                }
                y[1] = -of[2] * y[1];
                y[0] = 0;
                if (y[1] < 0.05) {
                    break;
                }
            }
        }
        guard.holds("first contact", came(run, "fell." + which), contact, thing.equals("flare") ? 2e-4 : 2e-5);
        guard.holds("speed at contact", came(run, "struck." + which), struck, 1e-3);
        if (!Double.isNaN(bounce) && bounce < 12) {
            guard.holds("second contact", first(run, "bounce." + which), bounce, 2e-4);
        }
    }

    @Test
    void reactionBalance() {
        Guard guard = guard("reaction-balance");
        guard.over((s, i) -> {
            if (!s.toTree().get("mixing").equals("wool")) {
                return;
            }
            Run run = run("reaction-balance", s);
            run.act(new Action.Perform("light", Map.of()));
            double n = 101_325 * 2e-3 / (8.314462618 * 293.15);
            Object gas = s.toTree().get("gas");
            double air = read(run("reaction-balance", Settings.of(run.manifest(), Tree.of("mixing", "wool"))), "oxygen");
            double oxygen = gas.equals("oxygen") ? 1 : gas.equals("air") ? air : 0;
            boolean open = s.toTree().get("closed").equals("open");
            double iron = number(s, "wool") / 1000 / 0.055845 / 3;
            double[] y = {0, oxygen * n, (1 - oxygen) * n};
            double h = 1e-3;
            boolean burns = oxygen > 0.05;
            for (int k = 1; k <= 200_000; k++) {
                if (burns) {
                    Slow.step((p, dy) -> {
                        double share = p[1] / (p[1] + p[2]);
                        double rate = 2e-4 * share / air;
                        double total = p[1] + p[2];
                        double renewed = open ? total / 10 : 0;
                        dy[0] = rate;
                        dy[1] = -2 * rate + (open ? 2 * rate * air : 0) + renewed * (air - share);
                        dy[2] = (open ? 2 * rate * (1 - air) : 0) + renewed * (share - air);
                    }, h, y);
                    burns = y[0] < iron && y[1] / (y[1] + y[2]) > 0.05;
                }
                if (k % 40_000 == 0) {
                    run.seek(k * h);
                    guard.holds("oxygen taken up", read(run, "in-sample"), 2 * 0.031998 * y[0], 3e-7);
                    guard.holds("oxygen", read(run, "oxygen"), y[1] / (y[1] + y[2]), 1e-3);
                }
            }
        });
    }

    /** Conducting cores, and open tubes of the same water above: the law of an exchange is held by its own tests. */
    @Test
    void twinTanks() {
        Guard guard = guard("twin-tanks");
        Map<String, Double> conducts = Map.of("copper", 401.0, "aluminium", 236.0, "steel", 50.0, "glass", 1.0, "cork", 0.045);
        guard.over((s, i) -> {
            Double k = conducts.get(s.toTree().get("neck"));
            if (k == null) {
                return;
            }
            Run run = run("twin-tanks", s);
            double area = s.toTree().get("section").equals("narrow") ? 4e-4 : 12e-4;
            double loss = number(s, "loss");
            double[] y = {number(s, "upper"), number(s, "lower")};
            double above = 5e-4 * read(run, "density-above");
            double below = 5e-4 * read(run, "density-below");
            double h = 0.1;
            double even = Math.abs(y[0] - y[1]) <= 0.5 ? 0 : Double.NaN;
            for (int n = 1; n <= 20_000; n++) {
                double before = Math.abs(y[0] - y[1]);
                Slow.step((p, dy) -> {
                    double down = k * area / 0.05 * (p[0] - p[1]);
                    dy[0] = (-down - loss * (p[0] - 20)) / (above * heat(p[0]));
                    dy[1] = (down - loss * (p[1] - 20)) / (below * heat(p[1]));
                }, h, y);
                if (Double.isNaN(even) && Math.abs(y[0] - y[1]) <= 0.5) {
                    even = Slow.when((n - 1) * h, h, before - 0.5, Math.abs(y[0] - y[1]) - 0.5);
                }
                if (n % 4000 == 0) {
                    run.seek(n * h);
                    guard.holds("above", read(run, "above") - 273.15, y[0], 0.02);
                    guard.holds("below", read(run, "below") - 273.15, y[1], 0.02);
                }
            }
            guard.holds("even", first(run, "even"), even, 0.5 + 2e-3 * (Double.isNaN(even) ? 0 : even));
        });
    }

    /** Of water in J/(kg K) at a temperature in °C: IAPWS-95 at each tenth degree, straight between. */
    private static double heat(double t) {
        List<Double> c = List.of(4219.9, 4195.2, 4184.1, 4179.8, 4179.4, 4181.3, 4185.0, 4190.1, 4196.7, 4205.0, 4215.7);
        int at = (int) Math.max(0, Math.min(9, Math.floor(t / 10)));
        return c.get(at) + (c.get(at + 1) - c.get(at)) * (t / 10 - at);
    }
}
