package cauldron.core.apparatus.crashrig;

import cauldron.core.apparatus.Scene;

/** Where everything is in the drawing: the rig in section, laid out from the cabin's front wall. */
final class Section {

    /** How far behind the front wall of a whole cabin the seat's back and the tail are, in metres. */
    private static final double SEAT = 0.95;
    private static final double TAIL = 1.9;
    private static final double CHEST_DEPTH = 0.22;
    private static final double HEAD_DEPTH = 0.2;
    private static final double CHEST_HEIGHT = 0.95;
    private static final double HEAD_HEIGHT = 1.38;
    private static final double NOSE_HEIGHT = 0.62;
    /** No more of the wheel's column than this is seen to give way. */
    private static final double COLUMN = 0.17;
    private static final double GRIP = 0.22;

    private final CrashRig d;
    private final Design design;
    private final CrushZones zones;
    private final Member crushed;
    private final Restraints held;
    private final double secondLength;

    /**
     * A section.
     *
     * @param secondLength of the second sled's front, in metres; 0 for the block
     */
    Section(CrashRig d, Design design, CrushZones zones, Member crushed, Restraints held, double secondLength) {
        this.d = d;
        this.design = design;
        this.zones = zones;
        this.crushed = crushed;
        this.held = held;
        this.secondLength = secondLength;
    }

    /**
     * Fills in the places.
     *
     * @param first  place of the sled's undamaged front, in metres
     * @param second the same of the second sled, or of the block
     * @param chest  how far the chest has come forward in the sled
     * @param head   the same of the head
     */
    void draw(Scene out, double first, double second, double chest, double head) {
        double c = first - second;
        double flex = crushed.force(c) / CrushZones.STIFFNESS;
        double wall = first - design.length;
        double in = zones.crush(CrushZones.CABIN, crushed, c);
        out.put(d.nose, first - zones.crush(CrushZones.FRONT, crushed, c) - in - flex, NOSE_HEIGHT);
        out.put(d.bulkhead, wall - in, NOSE_HEIGHT);
        out.put(d.bulkheadRadius, GRIP);
        out.put(d.tail, wall - TAIL);
        out.put(d.seat, wall - SEAT);
        double given = Math.min(COLUMN, held.wheel.lasting(held.byWheel(chest, in)));
        out.put(d.wheel, wall - in - (SEAT - CHEST_DEPTH - Restraints.TO_WHEEL) + given);
        out.put(d.dash, wall - in - (SEAT - HEAD_DEPTH - Restraints.TO_DASH));
        out.put(d.chestAt, wall - SEAT + CHEST_DEPTH / 2 + chest, CHEST_HEIGHT);
        out.put(d.headAt, wall - SEAT + HEAD_DEPTH / 2 + head, HEAD_HEIGHT);
        out.put(d.bagDepth, held.bagDepth());
        out.put(d.bagAtChest, held.bagAtChest(chest, in));
        out.put(d.bagAtHead, held.bagAtHead(head, in));
        out.put(d.slackNow, held.slackLeft(chest));
        boolean two = secondLength > 0;
        double in2 = two ? zones.crush(CrushZones.CABIN_2, crushed, c) : 0;
        out.put(d.twoSleds, two);
        out.put(d.secondNose, two ? second + zones.crush(CrushZones.FRONT_2, crushed, c) + in2 + flex : 0);
        out.put(d.secondBulkhead, second + secondLength + in2);
        out.put(d.secondTail, second + secondLength + TAIL);
        out.put(d.frontBefore, design.length);
        out.put(d.secondBefore, secondLength);
    }
}
