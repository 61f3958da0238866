package cauldron.server.worksheets;

import cauldron.core.Tree;
import cauldron.core.apparatus.Manifest;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.block.comparison.ComparisonBlock;
import cauldron.core.block.drawing.DrawingBlock;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.block.extension.ExtensionBlock;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.number.KeyWords;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.opening.OpeningBlock;
import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.block.prediction.Sketch;
import cauldron.core.block.reading.ReadingBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.block.text.TextBlock;
import cauldron.core.block.vocabulary.VocabularyBlock;
import cauldron.core.drawing.Paper;
import cauldron.core.inventory.Inventory;
import cauldron.core.quantity.Numbers;
import cauldron.server.print.BlockPrints;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.nodes.Element;

/** How each kind of block stands on a worksheet, to be filled in by hand. */
final class Blanks {

    private static final int A_REASON = 3;
    private static final int AN_OPENING = 3;
    private static final int WORDS_A_LINE = 10;
    private static final int SPARE_LINES = 2;
    private static final int MOST_ROWS = 40;

    private static final BlockPrints<Worksheet> ALL = new BlockPrints<Worksheet>()
            .with(TextBlock.class, (b, sheet, to) -> Told.text(b, to))
            .with(VocabularyBlock.class, (b, sheet, to) -> Told.vocabulary(b, to))
            .with(ReadingBlock.class, (b, sheet, to) -> Told.reading(b, to))
            .with(PredictionBlock.class, Blanks::prediction)
            .with(FilmsBlock.class, Blanks::films)
            .with(BenchBlock.class, Blanks::bench)
            .with(TableBlock.class, Blanks::table)
            .with(GraphBlock.class, Blanks::graph)
            .with(NumberBlock.class, Blanks::number)
            .with(ChoiceBlock.class, Blanks::choice)
            .with(ComparisonBlock.class, Blanks::comparison)
            .with(DrawingBlock.class, Blanks::drawing)
            .with(ExplanationBlock.class, Blanks::explanation)
            .with(OpeningBlock.class, Blanks::opening)
            .with(ExtensionBlock.class, Blanks::extension)
            .complete();

    private Blanks() {
    }

    static void print(Block block, Worksheet sheet, Element to) {
        ALL.print(block, sheet, to);
    }

    private static void prediction(PredictionBlock block, Worksheet sheet, Element to) {
        Element box = to.appendElement("div").addClass("prediction");
        box.appendElement("h3").text("Prediction: " + block.prompt());
        block.choices().forEach(c -> box.appendElement("p").addClass("choice").text("○ " + c));
        if (block.sketch() != null) {
            axes(box, axis(block.sketch().y()), axis(block.sketch().x()));
        }
        if (!block.reasonPrompt().isEmpty()) {
            box.appendElement("p").addClass("soft").text(block.reasonPrompt());
            sheet.lines(box, A_REASON);
        }
    }

    private static String axis(Sketch.Axis axis) {
        return axis.symbol() + (axis.unit().isEmpty() ? "" : " / " + axis.unit());
    }

    private static void films(FilmsBlock block, Worksheet sheet, Element to) {
        String apparatus = Inventory.get(block.plan().apparatus()).manifest().name();
        String choices = block.plan().choices().stream().map(c -> c.name() + ": " + c.options().stream()
                .filter(o -> sheet.withKey() || !o.demonstration()).map(FilmPlan.Option::name)
                        .collect(Collectors.joining(", "))).collect(Collectors.joining(". "));
        sheet.onScreen(to, "recordings of the " + apparatus.toLowerCase() + ", " + block.distinctTrials()
                + " different ones.", choices);
    }

    private static void bench(BenchBlock block, Worksheet sheet, Element to) {
        Manifest m = Inventory.get(block.plan().apparatus()).manifest();
        String trials = block.distinctTrials() == 0 ? "." : ", " + block.distinctTrials() + " different "
                + (block.distinctTrials() == 1 ? "trial." : "trials.");
        sheet.onScreen(to, (block.title().isEmpty() ? "" : block.title() + ": ") + "the " + m.name().toLowerCase()
                + trials, "");
    }

    private static void table(TableBlock block, Worksheet sheet, Element to) {
        to.appendElement("h3").text(block.title());
        Element grid = to.appendElement("table").addClass("blank");
        Element heads = grid.appendElement("thead").appendElement("tr");
        for (Map<String, Object> column : block.columns()) {
            Element th = heads.appendElement("th");
            head(column, th);
            String formula = Tree.text(column, "formula", "");
            if (!formula.isEmpty() && sheet.withKey()) {
                th.appendElement("div").addClass("soft").text("= " + formula);
            }
        }
        Element body = grid.appendElement("tbody");
        for (int i = 0; i < Math.min(MOST_ROWS, Math.max(1, block.rows() + 1)); i++) {
            Element row = body.appendElement("tr");
            block.columns().forEach(c -> row.appendElement("td").text(Tree.text(c, "constant", "\u00a0")));
        }
    }

    private static void head(Map<String, Object> column, Element to) {
        to.appendText(Tree.text(column, "name", ""));
        if (!isLabel(column)) {
            String unit = Tree.text(column, "unit", "");
            to.appendText(" ");
            Told.symbol(Tree.text(column, "symbol", ""), to.appendElement("i"));
            to.appendText(unit.isEmpty() ? "" : " / " + unit);
        }
    }

    private static boolean isLabel(Map<String, Object> column) {
        return Tree.text(column, "kind", "").equals("label");
    }

    private static void graph(GraphBlock block, Worksheet sheet, Element to) {
        TableBlock table = (TableBlock) sheet.sheet().block(block.table());
        to.appendElement("h3").text(block.title().isEmpty() ? "Graph of “" + table.title() + "”" : block.title());
        List<Map<String, Object>> numbers = table.columns().stream().filter(c -> !isLabel(c)).toList();
        axes(to, named(numbers, block.up(), 1), named(numbers, block.along(), 0));
    }

    private static String named(List<Map<String, Object>> columns, String id, int otherwise) {
        if (columns.isEmpty()) {
            return "…";
        }
        Map<String, Object> usual = columns.get(Math.min(otherwise, columns.size() - 1));
        Element words = new Element("span");
        head(columns.stream().filter(c -> Tree.text(c, "id").equals(id)).findFirst().orElse(usual), words);
        return words.text();
    }

    /** Squared paper with its axes named. */
    private static void axes(Element to, String up, String along) {
        Element figure = to.appendElement("div").addClass("figure");
        figure.appendElement("p").addClass("soft").text("Upwards: " + up + ". Along: " + along + ".");
        figure.appendElement("img").attr("alt", "Empty axes: " + up + " against " + along).attr("src", Squares.axes());
    }

    private static void number(NumberBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), block.points());
        if (!sheet.withKey()) {
            to.appendElement("p").text("Number ____________________   Unit ____________");
        }
        KeyWords.of(block.key(), sheet.sheet()).forEach(line -> sheet.key(to, line));
    }

    private static void choice(ChoiceBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), block.points());
        Element list = to.appendElement("ul").addClass("boxes");
        for (ChoiceBlock.Choice choice : block.choices()) {
            list.appendElement("li").text((sheet.withKey() && choice.right() ? "[×] " : "[  ] ") + choice.text());
        }
        if (block.several()) {
            to.appendElement("p").addClass("soft").text("More than one may be right.");
        }
        if (!block.reasonPrompt().isEmpty()) {
            to.appendElement("p").addClass("soft").text(block.reasonPrompt());
            sheet.lines(to, A_REASON);
        }
    }

    private static void comparison(ComparisonBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), block.points());
        to.appendElement("p").addClass("soft").text("Write one of: " + String.join(", ", block.options()) + ".");
        Element table = to.appendElement("table").addClass("blank");
        Element heads = table.appendElement("thead").appendElement("tr");
        List.of("case", "predicted", "seen").forEach(h -> heads.appendElement("th").text(h));
        Element rows = table.appendElement("tbody");
        for (ComparisonBlock.Case one : block.cases()) {
            Element row = rows.appendElement("tr");
            row.appendElement("td").text(one.text());
            row.appendElement("td").text("\u00a0");
            row.appendElement("td").text(sheet.withKey() ? block.options().get(one.seen() - 1) : "\u00a0");
        }
    }

    private static void drawing(DrawingBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), block.points());
        Paper paper = block.paper();
        Element figure = to.appendElement("div").addClass("figure");
        figure.appendElement("img").attr("alt", "Paper to draw on").attr("style", "border: 0.6pt solid #8d95a0")
                .attr("src", Squares.figures(paper));
        say(figure, "Draw", paper.pieces().stream().map(p -> p.name()).toList());
        say(figure, "Label", paper.labels());
        say(figure, "Arrows", paper.arrows());
        block.wanted().forEach(w -> sheet.key(to, "To be seen: " + w.words(paper)));
        paper.captions().forEach(c -> figure.appendElement("p").text(c.name() + " ____________________"));
    }

    private static void say(Element to, String what, List<String> names) {
        if (!names.isEmpty()) {
            to.appendElement("p").addClass("soft").text(what + ": " + String.join(", ", names) + ".");
        }
    }

    private static void explanation(ExplanationBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), block.points());
        if (block.words() > 0) {
            to.appendElement("p").addClass("soft").text("At least " + block.words() + " words.");
        }
        sheet.lines(to, block.words() / WORDS_A_LINE + SPARE_LINES);
        block.rubric().forEach(l -> to.appendElement("p").addClass(sheet.withKey() ? "key" : "soft")
                .text(Numbers.printShort(l.points()) + (l.points() == 1 ? " point: " : " points: ") + l.like()));
    }

    private static void opening(OpeningBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.prompt(), 0);
        sheet.lines(to, AN_OPENING);
    }

    private static void extension(ExtensionBlock block, Worksheet sheet, Element to) {
        Told.heading(to, block.title() + ": " + block.prompt(), 0);
        sheet.lines(to, AN_OPENING);
    }
}
