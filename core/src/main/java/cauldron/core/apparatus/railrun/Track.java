package cauldron.core.apparatus.railrun;

import java.util.ArrayList;
import java.util.List;

/** Lays a rail from straight stretches and arcs, each beginning where and as the one before ends. */
final class Track {

    /** No arc turns further in one piece, so that a step is a small part of it. */
    private static final double MOST_TURN = Math.PI / 4;

    private final List<Piece> pieces = new ArrayList<>();
    private double x;
    private double y;
    /** Direction in radians, upwards positive. */
    private double direction;

    /** Begins at a point in a direction. */
    static Track from(double x, double y, double degrees) {
        Track track = new Track();
        track.x = x;
        track.y = y;
        track.direction = Math.toRadians(degrees);
        return track;
    }

    /** Goes straight on for so many metres. */
    Track straight(double length) {
        double toX = x + length * Math.cos(direction);
        double toY = y + length * Math.sin(direction);
        pieces.add(Piece.line(x, y, toX, toY));
        x = toX;
        y = toY;
        return this;
    }

    /** Turns, to the left positive, on a circle. */
    Track turn(double degrees, double radius) {
        double turn = Math.toRadians(degrees);
        double side = Math.signum(turn);
        double centreX = x - side * radius * Math.sin(direction);
        double centreY = y + side * radius * Math.cos(direction);
        int n = (int) Math.ceil(Math.abs(turn) / MOST_TURN - 1e-9);
        double from = direction - side * Math.PI / 2;
        for (int i = 0; i < n; i++) {
            pieces.add(Piece.arc(centreX, centreY, radius, from + turn * i / n, from + turn * (i + 1) / n));
        }
        direction += turn;
        x = centreX + radius * Math.cos(from + turn);
        y = centreY + radius * Math.sin(from + turn);
        return this;
    }

    Rail rail() {
        return Rail.of(pieces);
    }
}
