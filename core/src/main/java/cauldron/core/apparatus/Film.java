package cauldron.core.apparatus;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a high-speed camera saw of a run: for each frame the places, in picture elements, of what is in
 * view. Settings, channels and the instants of events are not in it. Places are rounded to 1/32 of a
 * picture element, as a real film would be coarser still.
 *
 * @param rate   frames per second
 * @param frames number of frames; frame 0 is at film time 0
 * @param width  width of the picture in picture elements
 * @param height height of the picture
 * @param scale  picture elements per metre in the plane of the apparatus
 * @param still  fields that are the same in all frames, by id
 * @param moving ids of the fields in {@code body}
 * @param lines  how many points each line has, by id; they are fields like others, {@code outline:3.x}
 * @param kinds  the kind of each body of a crowd; their places are the line {@code crowd}
 * @param body   value of each moving field, frame by frame, in 1/32 of a picture element; flags 0 or 1
 */
public record Film(double rate, int frames, int width, int height, double scale, Map<String, Object> still,
                   List<String> moving, Map<String, Object> lines, double[] kinds, short[] body) {

    /** Parts of a picture element that places are rounded to. */
    public static final int FINENESS = 32;
    /** The picture's longer side in picture elements; it keeps every place within a short. */
    private static final double LONGER_SIDE = 1000;

    /**
     * Films a recipe of an apparatus from its beginning; one made with another version of the model is refused.
     *
     * @param rate    frames per second
     * @param seconds length of the film
     */
    public static Film shoot(Apparatus apparatus, Recipe made, View view, double rate, double seconds) {
        Recipe recipe = apparatus.now(made);
        Run run = Run.replay(apparatus, recipe, 0);
        Frame frame = run.frame(view);
        double scale = scale(frame);
        int width = (int) Math.round(frame.width() * scale);
        int height = (int) Math.round(frame.height() * scale);
        int frames = (int) Math.floor(seconds * rate + 1e-9) + 1;
        List<SceneField> fields = run.manifest().scene();
        short[][] all = new short[fields.size()][frames];
        List<FilmedLine> lines = new ArrayList<>();
        List<SceneCurve> curves = new ArrayList<>();
        run.manifest().curves().stream().filter(SceneCurve::isFilmed).forEach(c -> {
            curves.add(c);
            lines.add(new FilmedLine(c.id()));
        });
        FilmedCrowd crowd = run.crowdSize() > 0 ? new FilmedCrowd(run.crowdSize()) : null;
        int nextAction = 0;
        for (int f = 0; f < frames; f++) {
            double time = f / rate;
            while (nextAction < recipe.actions().size() && recipe.actions().get(nextAction).time() <= time) {
                Recipe.Timed timed = recipe.actions().get(nextAction++);
                if (timed.time() > 0) {
                    run.seek(timed.time());
                    run.act(timed.action());
                }
            }
            run.seek(time);
            for (int i = 0; i < all.length; i++) {
                all[i][f] = picture(fields.get(i).kind(), run.scene().of(fields.get(i)), frame, scale);
            }
            for (int i = 0; i < lines.size(); i++) {
                lines.get(i).take(run.scene().of(curves.get(i)), frame, scale);
            }
            if (crowd != null) {
                crowd.take(run, frame, scale);
            }
        }
        if (crowd != null) {
            lines.add(crowd.places());
        }
        Map<String, Object> still = Tree.of();
        List<String> moving = new ArrayList<>();
        List<short[]> bodies = new ArrayList<>();
        for (int i = 0; i < all.length; i++) {
            if (fields.get(i).isFilmed()) {
                part(fields.get(i).id(), all[i], still, moving, bodies);
            }
        }
        Map<String, Object> counts = Tree.of();
        for (FilmedLine line : lines) {
            counts.put(line.id(), (double) line.points());
            for (int point = 0; point < line.points(); point++) {
                part(line.field(point, false), line.places(point, false), still, moving, bodies);
                part(line.field(point, true), line.places(point, true), still, moving, bodies);
            }
        }
        short[] body = new short[frames * moving.size()];
        for (int f = 0; f < frames; f++) {
            for (int i = 0; i < moving.size(); i++) {
                body[f * moving.size() + i] = bodies.get(i)[f];
            }
        }
        return new Film(rate, frames, width, height, scale, still, moving, counts,
                crowd == null ? new double[0] : crowd.kinds(), body);
    }

    private static void part(String id, short[] values, Map<String, Object> still, List<String> moving,
            List<short[]> bodies) {
        if (isStill(values)) {
            still.put(id, (double) values[0]);
        } else {
            moving.add(id);
            bodies.add(values);
        }
    }

    /** Picture elements per metre for a frame. */
    public static double scale(Frame frame) {
        return LONGER_SIDE / Math.max(frame.width(), frame.height());
    }

    static short picture(SceneField.Kind kind, double value, Frame frame, double scale) {
        switch (kind) {
            case X:
                return within((value - frame.left()) * scale);
            case Y:
                return within((frame.bottom() + frame.height() - value) * scale);
            case LENGTH:
                return within(value * scale);
            case NUMBER:
                return within(value);
            default:
                return (short) (value != 0 ? 1 : 0);
        }
    }

    /** What lies far outside the picture stays at the edge of what can be told. */
    private static short within(double place) {
        return (short) Math.max(Short.MIN_VALUE, Math.min(Short.MAX_VALUE, Math.round(place * FINENESS)));
    }

    private static boolean isStill(short[] values) {
        for (short value : values) {
            if (value != values[0]) {
                return false;
            }
        }
        return true;
    }

    /** All but the body. */
    public Map<String, Object> header() {
        return Tree.of("rate", rate, "frames", (double) frames, "width", (double) width, "height", (double) height,
                "scale", scale, "fineness", (double) FINENESS, "still", still, "moving", moving, "lines", lines,
                "kinds", kinds);
    }
}
