package cauldron.core.block.graph;

import static cauldron.core.form.Kinds.FLAG;
import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.word;

import cauldron.core.Tree;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** What a look at a graph may hold. */
final class LookForm extends Form<Look> {

    private static final int MOST = 100;

    private final Field<Look, String> x = field("x", text(200), Look::x).optional();
    private final Field<Look, String> y = field("y", text(200), Look::y).optional();
    private final Field<Look, List<String>> more = field("more", list(text(200), MOST), Look::more).otherwise(List.of())
            .says("Further columns drawn upright.");
    private final Field<Look, List<Look.Fitted>> fits = field("fits", list(new FittedForm(), MOST), Look::fits).otherwise(List.of());
    private final Field<Look, String> caption = field("caption", text(4000), Look::caption).otherwise("");
    private final Field<Look, Look.Range> range = field("range", new RangeForm(), Look::range).optional();
    private final Field<Look, Look.Bins> bins = field("bins", new BinsForm(), Look::bins).optional();
    private final Field<Look, String> show = field("show", word("points", "histogram", "box", "dots"), Look::show).otherwise("points");
    private final Field<Look, Boolean> origin = flag("origin", Look.Switches::origin, "Whether zero is in sight.");
    private final Field<Look, Boolean> line = flag("line", Look.Switches::line, "Whether a line is fitted: what the sheet may ask for.");
    private final Field<Look, Boolean> logX = flag("logX", Look.Switches::logX, "Whether the axis along is logarithmic.");
    private final Field<Look, Boolean> logY = flag("logY", Look.Switches::logY, "Whether the upright axis is logarithmic.");
    private final Field<Look, Boolean> join = flag("join", Look.Switches::join, "Whether points are joined.");
    private final Field<Look, Boolean> noBars = flag("noBars", Look.Switches::noBars, "Whether error bars are kept away.");
    private final Field<Look, Boolean> residuals = flag("residuals", Look.Switches::residuals, "Whether residuals stand below.");
    private final Field<Look, Boolean> noSketch = flag("noSketch", Look.Switches::noSketch, "Whether the sealed sketch is kept from view.");

    LookForm() {
        super("Look", "How a student looks at a graph.");
    }

    private Field<Look, Boolean> flag(String name, Function<Look.Switches, Boolean> of, String says) {
        return field(name, FLAG, (Look l) -> of.apply(l.switches())).otherwise(false).says(says);
    }

    /** Version 2: a line is one of several fits, where before it was the only one, of the first series. */
    static Map<String, Object> lineAsFit(Map<String, Object> look) {
        if (!Boolean.TRUE.equals(look.get("line")) || look.get("fits") != null) {
            return look;
        }
        Map<String, Object> now = new LinkedHashMap<>(look);
        now.put("fits", List.of(Tree.of("kind", "line")));
        return now;
    }

    @Override
    protected Look make(Filled f) {
        return new Look(f.get(x), f.get(y), f.get(more), f.get(fits), f.get(caption), f.get(range), f.get(bins), f.get(show),
                new Look.Switches(f.get(origin), f.get(line), f.get(logX), f.get(logY), f.get(join), f.get(noBars),
                        f.get(residuals), f.get(noSketch)));
    }

    private static final class FittedForm extends Form<Look.Fitted> {

        private final Field<Look.Fitted, String> kind = field("kind", text(60), Look.Fitted::kind);
        private final Field<Look.Fitted, String> series = field("series", text(200), Look.Fitted::series)
                .optional().says("The column upright, by its id.");
        private final Field<Look.Fitted, Boolean> weighted = field("weighted", FLAG, Look.Fitted::weighted).otherwise(false);
        private final Field<Look.Fitted, Double> from = field("from", number(), Look.Fitted::from).optional()
                .says("Where the stretch begins that is fitted.");
        private final Field<Look.Fitted, Double> to = field("to", number(), Look.Fitted::to).optional().says("Where it ends.");
        private final Field<Look.Fitted, String> formula = field("formula", text(4000), Look.Fitted::formula).optional();
        private final Field<Look.Fitted, Map<String, Double>> start = field("start", map(number()), Look.Fitted::start).optional();
        private final Field<Look.Fitted, List<Look.Follow>> follows = field("follows", list(new FollowForm(), MOST), Look.Fitted::follows)
                .otherwise(List.of()).says("What is worked out from its parameters.");
        private final Field<Look.Fitted, Map<String, String>> found = field("found", map(text(200)), Look.Fitted::found).optional()
                .says("Units that the student was asked to find, by the parameter's name.");

        FittedForm() {
            super("FitChoice", "A fit on a graph, of one of its series.");
        }

        @Override
        protected Look.Fitted make(Filled f) {
            return new Look.Fitted(f.get(kind), f.get(series), f.get(weighted), f.get(from), f.get(to), f.get(formula), f.get(start),
                    f.get(follows), f.get(found));
        }
    }

    private static final class FollowForm extends Form<Look.Follow> {

        private final Field<Look.Follow, String> name = field("name", text(1000), Look.Follow::name);
        private final Field<Look.Follow, String> formula = field("formula", text(4000), Look.Follow::formula);

        FollowForm() {
            super("Follow", "A quantity that follows from a fit's parameters.");
        }

        @Override
        protected Look.Follow make(Filled f) {
            return new Look.Follow(f.get(name), f.get(formula));
        }
    }

    private static final class RangeForm extends Form<Look.Range> {

        private final Field<Look.Range, Double> x0 = field("x0", number(), Look.Range::x0).optional();
        private final Field<Look.Range, Double> x1 = field("x1", number(), Look.Range::x1).optional();
        private final Field<Look.Range, Double> y0 = field("y0", number(), Look.Range::y0).optional();
        private final Field<Look.Range, Double> y1 = field("y1", number(), Look.Range::y1).optional();

        RangeForm() {
            super("AxisRange", "Ends of axes that were chosen.");
        }

        @Override
        protected Look.Range make(Filled f) {
            return new Look.Range(f.get(x0), f.get(x1), f.get(y0), f.get(y1));
        }
    }

    private static final class BinsForm extends Form<Look.Bins> {

        private final Field<Look.Bins, Double> start = field("start", number(), Look.Bins::start).optional();
        private final Field<Look.Bins, Double> width = field("width", number(), Look.Bins::width).optional();

        BinsForm() {
            super("Bins", "Bins of a histogram.");
        }

        @Override
        protected Look.Bins make(Filled f) {
            return new Look.Bins(f.get(start), f.get(width));
        }
    }
}
