package cauldron.core.apparatus.gascylinder;

import cauldron.core.Stateful;
import java.util.Arrays;

/**
 * The molecules' state. Each has its own time, that of its last change of velocity, and place and
 * velocity then; in between it flies straight. Nothing but a real event touches these numbers, so they
 * don't depend on how the events are looked for.
 */
final class Molecules implements Stateful {

    /** Values of one molecule in a snapshot. */
    private static final int EACH = 9;

    int count;
    double[] x = new double[256];
    double[] y = new double[256];
    double[] z = new double[256];
    double[] vx = new double[256];
    double[] vy = new double[256];
    double[] vz = new double[256];
    double[] time = new double[256];
    /** 0 or 1: which gas. */
    int[] kind = new int[256];
    /** Whether it has left through the hole. */
    boolean[] out = new boolean[256];
    /** Rises with every change of velocity; tells whether a foreseen collision still holds. */
    int[] changes = new int[256];

    final double[] mass;
    final double[] radius;

    /** Molecules of two gases of given masses (kg) and radii (m). */
    Molecules(double[] mass, double[] radius) {
        this.mass = mass;
        this.radius = radius;
    }

    /** Adds one and gives its place. */
    int add(int ofKind, double atX, double atY, double atZ, double now) {
        if (count == x.length) {
            grow(2 * count);
        }
        int i = count++;
        kind[i] = ofKind;
        x[i] = atX;
        y[i] = atY;
        z[i] = atZ;
        time[i] = now;
        out[i] = false;
        changes[i] = 0;
        return i;
    }

    /** Takes one away; those after it move up. */
    void remove(int i) {
        for (double[] a : new double[][] {x, y, z, vx, vy, vz, time}) {
            System.arraycopy(a, i + 1, a, i, count - i - 1);
        }
        System.arraycopy(kind, i + 1, kind, i, count - i - 1);
        System.arraycopy(out, i + 1, out, i, count - i - 1);
        System.arraycopy(changes, i + 1, changes, i, count - i - 1);
        count--;
    }

    private void grow(int size) {
        x = Arrays.copyOf(x, size);
        y = Arrays.copyOf(y, size);
        z = Arrays.copyOf(z, size);
        vx = Arrays.copyOf(vx, size);
        vy = Arrays.copyOf(vy, size);
        vz = Arrays.copyOf(vz, size);
        time = Arrays.copyOf(time, size);
        kind = Arrays.copyOf(kind, size);
        out = Arrays.copyOf(out, size);
        changes = Arrays.copyOf(changes, size);
    }

    double xAt(int i, double now) {
        return x[i] + vx[i] * (now - time[i]);
    }

    double yAt(int i, double now) {
        return y[i] + vy[i] * (now - time[i]);
    }

    double zAt(int i, double now) {
        return z[i] + vz[i] * (now - time[i]);
    }

    /** Takes a molecule along its flight to a time at which its velocity is about to change. */
    void bring(int i, double now) {
        double dt = now - time[i];
        x[i] = x[i] + vx[i] * dt;
        y[i] = y[i] + vy[i] * dt;
        z[i] = z[i] + vz[i] * dt;
        time[i] = now;
        changes[i]++;
    }

    double speedSquared(int i) {
        return vx[i] * vx[i] + vy[i] * vy[i] + vz[i] * vz[i];
    }

    double energy(int i) {
        return 0.5 * mass[kind[i]] * speedSquared(i);
    }

    /**
     * When two molecules touch, or infinity. It depends on nothing but their two states, in whichever
     * order they are named.
     */
    double meeting(int a, int b) {
        int i = a < b ? a : b;
        int j = a < b ? b : a;
        double from = time[i] > time[j] ? time[i] : time[j];
        double di = from - time[i];
        double dj = from - time[j];
        double wx = vx[j] - vx[i];
        double wy = vy[j] - vy[i];
        double wz = vz[j] - vz[i];
        double rx = x[j] + vx[j] * dj - x[i] - vx[i] * di;
        double ry = y[j] + vy[j] * dj - y[i] - vy[i] * di;
        double rz = z[j] + vz[j] * dj - z[i] - vz[i] * di;
        double b2 = rx * wx + ry * wy + rz * wz;
        if (b2 >= 0) {
            return Double.POSITIVE_INFINITY;
        }
        double touch = radius[kind[i]] + radius[kind[j]];
        double apart = rx * rx + ry * ry + rz * rz - touch * touch;
        if (apart <= 0) {
            return from;
        }
        double w2 = wx * wx + wy * wy + wz * wz;
        double under = b2 * b2 - w2 * apart;
        return under < 0 ? Double.POSITIVE_INFINITY : from + apart / (Math.sqrt(under) - b2);
    }

    /** Lets two molecules collide elastically at a time. */
    void collide(int i, int j, double now) {
        bring(i, now);
        bring(j, now);
        double rx = x[j] - x[i];
        double ry = y[j] - y[i];
        double rz = z[j] - z[i];
        double r2 = rx * rx + ry * ry + rz * rz;
        double along = (vx[j] - vx[i]) * rx + (vy[j] - vy[i]) * ry + (vz[j] - vz[i]) * rz;
        double mi = mass[kind[i]];
        double mj = mass[kind[j]];
        double share = 2 * along / r2 / (mi + mj);
        double fi = mj * share;
        double fj = mi * share;
        vx[i] = vx[i] + fi * rx;
        vy[i] = vy[i] + fi * ry;
        vz[i] = vz[i] + fi * rz;
        vx[j] = vx[j] - fj * rx;
        vy[j] = vy[j] - fj * ry;
        vz[j] = vz[j] - fj * rz;
    }

    @Override
    public int size() {
        return 1 + EACH * count;
    }

    @Override
    public void save(double[] to, int at) {
        to[at] = count;
        int k = at + 1;
        for (int i = 0; i < count; i++) {
            to[k++] = x[i];
            to[k++] = y[i];
            to[k++] = z[i];
            to[k++] = vx[i];
            to[k++] = vy[i];
            to[k++] = vz[i];
            to[k++] = time[i];
            to[k++] = kind[i];
            to[k++] = out[i] ? 1 : 0;
        }
    }

    @Override
    public void restore(double[] from, int at) {
        count = (int) from[at];
        if (count > x.length) {
            grow(count);
        }
        int k = at + 1;
        for (int i = 0; i < count; i++) {
            x[i] = from[k++];
            y[i] = from[k++];
            z[i] = from[k++];
            vx[i] = from[k++];
            vy[i] = from[k++];
            vz[i] = from[k++];
            time[i] = from[k++];
            kind[i] = (int) from[k++];
            out[i] = from[k++] != 0;
            changes[i] = 0;
        }
    }
}
