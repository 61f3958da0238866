package cauldron.core.apparatus.crashrig;

import cauldron.core.Stateful;
import cauldron.core.apparatus.Settings;
import java.util.List;

/**
 * What holds or meets the figure in its sled: belt, seat, head restraint, wheel, dash and airbag. Places are told as how
 * far chest and head have come forward in the sled, and how far the cabin's front wall has come in, in metres; forces are
 * positive forwards.
 */
final class Restraints implements Stateful {

    /** From the chest to the wheel, and from the head to the dash, in metres. */
    static final double TO_WHEEL = 0.35;
    static final double TO_DASH = 0.5;
    /** From the head to its restraint. */
    private static final double TO_REST = 0.04;
    /** Nearer than this, in metres, nothing touches yet. */
    private static final double TOUCH = 1e-9;
    /** The head has a quarter of the chest's area in the bag. */
    private static final double HEAD_IN_BAG = 0.25;

    final Member belt;
    final Member seat = new Member(new LoadingCurve(1, 1e5), 5e5);
    final Member rest = new Member(new LoadingCurve(1, 2e4), 1e5);
    final Member wheel = new Member(new LoadingCurve(0.074, 1.5e5, 0.1, 0, 1, 1.5e6), 3e6);
    final Member dash = new Member(new LoadingCurve(0.01424, 2.5e5, 0.05, 0, 1, 1.5e6), 3e6);
    final Member bagChest;
    final Member bagHead;
    private final List<Member> all;
    private final double slack;
    private final double depth;
    private boolean full;
    private double chestIntoBag;
    private double headIntoBag;

    Restraints(CrashRig d, Settings s) {
        double k = s.si(d.beltStiffness);
        belt = new Member(new LoadingCurve(s.si(d.limit) / k, k, 1, 0), 2 * k);
        slack = s.si(d.slack) + TOUCH;
        double ka = s.si(d.bagStiffness);
        bagChest = new Member(new LoadingCurve(1, ka), 8 * ka);
        bagHead = new Member(new LoadingCurve(1, HEAD_IN_BAG * ka), 8 * HEAD_IN_BAG * ka);
        depth = s.on(d.bag) ? s.si(d.stroke) : 0;
        all = List.of(belt, seat, rest, wheel, dash, bagChest, bagHead);
    }

    /** Whether there is a bag that isn't full yet. */
    boolean waitsForBag() {
        return depth > 0 && !full;
    }

    /** The bag is full now; what is already where it would be leaves it less room, it isn't pushed away. */
    void fill(double chest, double head, double in) {
        chestIntoBag = Math.max(0, byWheel(chest, in) + depth) + TOUCH;
        headIntoBag = Math.max(0, byDash(head, in) + depth) + TOUCH;
        full = true;
    }

    /** How deep the full bag is, in metres; 0 before. */
    double bagDepth() {
        return full ? depth : 0;
    }

    /** How deep the bag still is before the chest, in metres: what was pressed stays flat. */
    double bagAtChest(double chest, double in) {
        return full ? Math.max(0, depth - chestIntoBag - bagChest.lasting(byChestBag(chest, in))) : 0;
    }

    double bagAtHead(double head, double in) {
        return full ? Math.max(0, depth - headIntoBag - bagHead.lasting(byHeadBag(head, in))) : 0;
    }

    /** How much of the belt's slack is left. */
    double slackLeft(double chest) {
        return Math.max(0, slack - chest);
    }

    double byBelt(double chest) {
        return chest - slack;
    }

    double bySeat(double chest) {
        return -chest - TOUCH;
    }

    double byRest(double head) {
        return -head - TO_REST;
    }

    double byWheel(double chest, double in) {
        return chest + in - TO_WHEEL;
    }

    double byDash(double head, double in) {
        return head + in - TO_DASH;
    }

    double byChestBag(double chest, double in) {
        return full ? byWheel(chest, in) + depth - chestIntoBag : -1;
    }

    double byHeadBag(double head, double in) {
        return full ? byDash(head, in) + depth - headIntoBag : -1;
    }

    /** Of wheel and bag on the chest, backwards, in newtons. */
    double aheadOfChest(double chest, double in) {
        return wheel.force(byWheel(chest, in)) + bagChest.force(byChestBag(chest, in));
    }

    /** Of dash and bag on the head, backwards, in newtons. */
    double aheadOfHead(double head, double in) {
        return dash.force(byDash(head, in)) + bagHead.force(byHeadBag(head, in));
    }

    /** All on the chest but the neck, in newtons. */
    double onChest(double chest, double in) {
        return seat.force(bySeat(chest)) - belt.force(byBelt(chest)) - aheadOfChest(chest, in);
    }

    /** All on the head but the neck, in newtons. */
    double onHead(double head, double in) {
        return rest.force(byRest(head)) - aheadOfHead(head, in);
    }

    /** What all of them would give back, in joules. */
    double elastic(double chest, double head, double in) {
        return belt.elastic(byBelt(chest)) + seat.elastic(bySeat(chest)) + rest.elastic(byRest(head))
                + wheel.elastic(byWheel(chest, in)) + dash.elastic(byDash(head, in))
                + bagChest.elastic(byChestBag(chest, in)) + bagHead.elastic(byHeadBag(head, in));
    }

    /** What the bag has taken, in joules. */
    double heatOfBag(double chest, double head, double in) {
        return bagChest.heat(byChestBag(chest, in)) + bagHead.heat(byHeadBag(head, in));
    }

    /** What wheel, dash, seat and head restraint have taken, in joules. */
    double heatInside(double chest, double head, double in) {
        return seat.heat(bySeat(chest)) + rest.heat(byRest(head)) + wheel.heat(byWheel(chest,
                in)) + dash.heat(byDash(head, in));
    }

    /** Whether something hard is touched, which wants short steps. */
    boolean isHard() {
        return dash.isTouched() || wheel.isTouched();
    }

    @Override
    public int size() {
        return 3 + 3 * all.size();
    }

    @Override
    public void save(double[] out, int at) {
        out[at] = full ? 1 : 0;
        out[at + 1] = chestIntoBag;
        out[at + 2] = headIntoBag;
        for (int i = 0; i < all.size(); i++) {
            all.get(i).save(out, at + 3 + 3 * i);
        }
    }

    @Override
    public void restore(double[] in, int at) {
        full = in[at] != 0;
        chestIntoBag = in[at + 1];
        headIntoBag = in[at + 2];
        for (int i = 0; i < all.size(); i++) {
            all.get(i).restore(in, at + 3 + 3 * i);
        }
    }
}
