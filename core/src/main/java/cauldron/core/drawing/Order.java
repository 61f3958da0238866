package cauldron.core.drawing;

import cauldron.core.drawing.Drawn.Laid;
import java.util.ArrayList;
import java.util.List;

/**
 * Pieces in good order: around a ring at equal distances from the top on, in a disc by the golden angle, which leaves no
 * gaps (H. Vogel, Mathematical Biosciences 44, 1979, 179). Kinds are mixed as evenly as their numbers allow.
 */
final class Order {

    private static final double GOLDEN = Math.PI * (3 - Math.sqrt(5));
    /** How far apart, in radii of a piece, so that neighbours by the golden angle just don't touch. */
    private static final double SPREAD = 1.22;

    private Order() {
    }

    /** So many of each kind, in a place. */
    static List<Laid> in(Spot place, List<Piece> kinds, int[] counts) {
        List<Piece> mixed = mixed(kinds, counts);
        List<Laid> laid = new ArrayList<>();
        for (int i = 0; i < mixed.size(); i++) {
            boolean ring = place.from() > 0;
            double angle = ring ? 2 * Math.PI * i / mixed.size() - Math.PI / 2 : i * GOLDEN;
            double size = mixed.get(i).size();
            double r = ring ? (place.from() + place.to()) / 2
                    : Math.min(SPREAD * size, Math.max(0, place.to() - size) / Math.sqrt(mixed.size()))
                    * Math.sqrt(i + (mixed.size() == 1 ? 0 : 0.5));
            laid.add(new Laid(mixed.get(i).id(), tenth(place.x() + r * Math.cos(angle)), tenth(place.y() + r
                    * Math.sin(angle))));
        }
        return laid;
    }

    /** One after the other, always of the kind that has come shortest so far. */
    private static List<Piece> mixed(List<Piece> kinds, int[] counts) {
        int all = 0;
        for (int count : counts) {
            all += count;
        }
        List<Piece> list = new ArrayList<>();
        int[] used = new int[counts.length];
        for (int i = 0; i < all; i++) {
            int next = -1;
            double most = 0;
            for (int k = 0; k < used.length; k++) {
                double due = (i + 1.0) * counts[k] / all - used[k];
                if (used[k] < counts[k] && (next < 0 || due > most)) {
                    next = k;
                    most = due;
                }
            }
            used[next]++;
            list.add(kinds.get(next));
        }
        return list;
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}
