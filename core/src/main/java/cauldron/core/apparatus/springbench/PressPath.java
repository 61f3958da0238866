package cauldron.core.apparatus.springbench;

import cauldron.core.Stateful;
import java.util.function.BiConsumer;

/** Where force and displacement have been, corner by corner; of a long way, the last of it. */
final class PressPath implements Stateful {

    private static final int MOST = 240;

    private final double[] corners = new double[2 * MOST];
    private int count;

    PressPath() {
        add(0, 0);
    }

    void add(double x, double force) {
        if (count == MOST) {
            System.arraycopy(corners, 2, corners, 0, corners.length - 2);
            count--;
        }
        corners[2 * count] = x;
        corners[2 * count + 1] = force;
        count++;
    }

    void each(BiConsumer<Double, Double> corner) {
        for (int i = 0; i < count; i++) {
            corner.accept(corners[2 * i], corners[2 * i + 1]);
        }
    }

    @Override
    public int size() {
        return 1 + corners.length;
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = count;
        System.arraycopy(corners, 0, out, at + 1, corners.length);
    }

    @Override
    public void restore(double[] in, int at) {
        count = (int) in[at];
        System.arraycopy(in, at + 1, corners, 0, corners.length);
    }
}
