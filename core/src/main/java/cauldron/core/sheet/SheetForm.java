package cauldron.core.sheet;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.said;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.word;

import cauldron.core.block.Block;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import cauldron.core.sheet.Sheet.Part;
import java.util.List;
import java.util.Map;

/** How a sheet is declared. */
public final class SheetForm extends Form<Sheet> {

    private final Field<Sheet, Integer> version = field("version", whole(1, Sheet.VERSION), (Sheet s) -> Sheet.VERSION)
            .otherwise(Sheet.VERSION).hidden().says("The version of sheets it is written in.");
    private final Field<Sheet, String> title = field("title", said(200), Sheet::title);
    private final Field<Sheet, String> summary = field("summary", text(2000), Sheet::summary);
    private final Field<Sheet, Integer> minutes = field("minutes", whole(1, 1000), Sheet::minutes).says("How long it takes.");
    private final Field<Sheet, String> apparatus = field("apparatus", text(60), Sheet::apparatus);
    private final Field<Sheet, String> category = field("category", word("practice", "formative", "graded"),
            Sheet::category)
            .otherwise("practice").says("Whether it is for practice, for finding out how far students are, or graded.");
    private final Field<Sheet, Scheme> scheme = field("scheme", new Scheme.Declared(),
            (Sheet s) -> s.scheme().equals(Scheme.USUAL) ? null : s.scheme()).optional()
                    .says("What its points are for.");
    private final Field<Sheet, List<Part>> parts = field("parts", list(new PartForm(), 60), Sheet::parts);

    SheetForm() {
        super("Sheet", "A lab: parts in the order in which they are worked through.");
        told("points", number(), Sheet::points);
    }

    @Override
    protected Sheet make(Filled f) {
        return new Sheet(f.get(title), f.get(summary), f.get(minutes), f.get(apparatus), f.get(category),
                f.get(scheme) == null ? Scheme.USUAL : f.get(scheme), f.get(parts));
    }

    @Override
    protected void check(Sheet sheet, Where at) {
        if (sheet.parts().isEmpty()) {
            at.fault("parts: a lab needs at least one part");
        }
        sheet.scheme().check(sheet, at.in("scheme"));
        Among.check(sheet, at);
    }

    private static final class PartForm extends Form<Part> {
        private final Field<Part, String> id = field("id", text(60), Part::id);
        private final Field<Part, String> kind = field("kind", word("aim", "predict", "measure", "analyse", "explain"), Part::kind);
        private final Field<Part, String> title = field("title", said(200), Part::title);
        private final Field<Part, List<Block>> blocks = field("blocks", list(Blocks.ALL, 200), Part::blocks);

        PartForm() {
            super("Part", "A stage of the work.");
        }

        @Override
        protected Where placeOf(Map<?, ?> tree, Where at) {
            return tree.get("id") instanceof String given ? at.named("part " + given) : at;
        }

        @Override
        protected Part make(Filled f) {
            return new Part(f.get(id), f.get(kind), f.get(title), f.get(blocks));
        }
    }
}
