package cauldron.server.reports;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Block;
import cauldron.core.block.bench.BenchBlock;
import cauldron.core.block.explanation.ExplanationBlock;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.core.block.graph.GraphBlock;
import cauldron.core.block.number.NumberBlock;
import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.block.table.TableBlock;
import cauldron.core.block.text.TextBlock;
import cauldron.core.block.vocabulary.VocabularyBlock;
import cauldron.core.quantity.Numbers;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.labs.Shown;
import cauldron.server.marking.Marking;
import cauldron.server.trials.Trials;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * One student's work on one lab, in the order of the sheet: what was asked, predicted, measured, drawn, answered
 * and said of it. Built as a document, never as text, so that nothing a student typed can be taken for more.
 */
final class Report {

    /** A graph or sketch as the page drew it. */
    record Picture(byte[] png, String alt, String caption, List<String> words) {
    }

    /** Lines of one answer that are printed. */
    private static final int MOST_LINES = 400;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.UK);

    private final Assignments.Opened opened;
    private final Marking.Standing standing;
    private final String student;
    private final Map<String, Picture> pictures;
    private final ZoneId zone;
    private final Instant now;

    Report(Assignments.Opened opened, Marking.Standing standing, String student, Map<String, Picture> pictures, ZoneId zone, Instant now) {
        this.opened = opened;
        this.standing = standing;
        this.student = student;
        this.pictures = pictures;
        this.zone = zone;
        this.now = now;
    }

    Document document() {
        Sheet sheet = opened.sheet();
        Document page = Document.createShell("");
        page.getElementsByTag("html").attr("lang", "en");
        page.title(sheet.title() + " – " + student);
        page.head().appendElement("meta").attr("name", "description").attr("content", "A student's work on the lab " + sheet.title());
        page.head().appendElement("style").appendText(ReportStyle.CSS);
        Element body = page.body();
        body.appendElement("div").addClass("foot").text(sheet.title() + " · " + student);
        body.appendElement("h1").text(sheet.title());
        body.appendElement("p").addClass("by").text(student);
        Instant in = opened.work().submittedAt();
        body.appendElement("p").addClass("soft").text((in == null ? "Not handed in yet, as it stood on " + TIME.format(now.atZone(zone))
                : "Handed in " + TIME.format(in.atZone(zone))) + " · " + Numbers.printShort(standing.points()) + " of "
                + Numbers.printShort(sheet.points()) + " points");
        for (Sheet.Part part : sheet.parts()) {
            body.appendElement("h2").text(part.title());
            part.blocks().forEach(b -> block(b, body));
        }
        return page;
    }

    private void block(Block block, Element to) {
        if (block instanceof TextBlock text) {
            to.append(Jsoup.parseBodyFragment(Shown.html(text.markdown())).body().html());
        } else if (block instanceof VocabularyBlock words) {
            Element list = to.appendElement("dl");
            for (VocabularyBlock.Term term : words.terms()) {
                list.appendElement("dt").text(term.term());
                list.appendElement("dd").text(term.meaning());
            }
        } else if (block instanceof PredictionBlock prediction) {
            prediction(prediction, to);
        } else if (block instanceof FilmsBlock films) {
            films(films, to);
        } else if (block instanceof BenchBlock bench) {
            trials(bench, to);
        } else if (block instanceof TableBlock table) {
            table(table, to);
        } else if (block instanceof GraphBlock) {
            picture(block.id(), to, "The graph was not drawn.");
        } else if (block instanceof NumberBlock question) {
            question(question, to);
        } else if (block instanceof ExplanationBlock explanation) {
            heading(to, explanation.prompt(), explanation.points());
            quoted(to, Tree.text(slot(block.id(), "answer"), "text", ""));
            mark(block, to);
        }
    }

    private void prediction(PredictionBlock block, Element to) {
        Element box = to.appendElement("div").addClass("prediction");
        box.appendElement("h3").text("Prediction: " + block.prompt());
        Map<String, Object> answer = slot(block.id(), "answer");
        int choice = (int) Tree.number(answer, "choice", -1);
        for (int i = 0; i < block.choices().size(); i++) {
            box.appendElement("p").addClass("choice").text((i == choice ? "● " : "○ ") + block.choices().get(i));
        }
        picture(block.id(), box, "");
        String reason = Tree.text(answer, "reason", "");
        if (!reason.isBlank()) {
            box.appendElement("p").addClass("soft").text(block.reasonPrompt());
            quoted(box, reason);
        }
        box.appendElement("p").addClass("soft").text(standing.progress().isSealed(block.id()) ? "Sealed before measuring." : "Not sealed yet.");
    }

    private void films(FilmsBlock block, Element to) {
        List<Trials.TrialInfo> own = standing.trials().stream().filter(t -> t.block().equals(block.id())).toList();
        List<String> made = new ArrayList<>();
        for (Trials.TrialInfo trial : own) {
            List<String> words = new ArrayList<>();
            for (FilmPlan.Choice choice : block.plan().choices()) {
                String chosen = Tree.text(trial.chosen(), choice.id(), "");
                choice.options().stream().filter(o -> o.id().equals(chosen)).findFirst().ifPresent(o -> words.add(o.name()));
            }
            made.add(trial.number() + ": " + String.join(", ", words));
        }
        to.appendElement("p").text(made.isEmpty() ? "No recording was made." : "Recordings " + String.join(" · ", made));
    }

    private void trials(BenchBlock block, Element to) {
        List<String> kept = new ArrayList<>();
        for (String name : standing.progress().written().slots(block.id())) {
            Map<String, Object> trial = slot(block.id(), name);
            if (name.startsWith("trial/") && !Tree.flag(trial, "removed")) {
                String note = Tree.text(trial, "note", "");
                kept.add(Tree.text(trial, "name", "a trial") + (note.isBlank() ? "" : " (" + note + ")"));
            }
        }
        to.appendElement("p").text(kept.isEmpty() ? "No trial was kept." : "Trials: " + String.join(" · ", kept));
    }

    private void table(TableBlock block, Element to) {
        Map<String, Object> tree = standing.progress().table(block);
        to.appendElement("h3").text(block.title());
        new ReportTable(block, DataTable.of(tree), Tree.maps(tree, "rows"), standing.progress().written().slots().getOrDefault(block.id(), Map.of()))
                .appendTo(to);
    }

    private void picture(String block, Element to, String otherwise) {
        Picture picture = pictures.get(block);
        if (picture == null) {
            if (!otherwise.isEmpty()) {
                to.appendElement("p").addClass("soft").text(otherwise);
            }
            return;
        }
        Element figure = to.appendElement("div").addClass("figure");
        figure.appendElement("img").attr("alt", picture.alt()).attr("src", "data:image/png;base64," + Base64.getEncoder().encodeToString(picture.png()));
        picture.words().forEach(w -> figure.appendElement("p").addClass("found").text(w));
        if (!picture.caption().isBlank()) {
            figure.appendElement("p").addClass("caption").text(picture.caption());
        }
    }

    private void question(NumberBlock block, Element to) {
        heading(to, block.prompt(), block.points());
        Map<String, Object> answer = slot(block.id(), "answer");
        String number = Tree.text(answer, "number", "");
        quoted(to, (number + " " + Tree.text(answer, "unit", "")).strip());
        Marking.Tried tried = standing.tried().get(block.id());
        if (tried != null) {
            to.appendElement("p").addClass("soft").text("Best try: " + (tried.number() + " " + tried.unit()).strip() + ". " + tried.feedback() + " "
                    + Numbers.printShort(tried.points()) + " of " + Numbers.printShort(block.points()) + " points.");
        }
        mark(block, to);
    }

    private static void heading(Element to, String prompt, double points) {
        Element h = to.appendElement("h3").text(prompt);
        h.appendElement("span").addClass("soft").text(" " + Numbers.printShort(points) + " points");
    }

    /** What the student wrote, line by line. */
    private static void quoted(Element to, String text) {
        Element quote = to.appendElement("blockquote");
        if (text.isBlank()) {
            quote.addClass("soft").text("Nothing was written.");
            return;
        }
        List<String> lines = text.strip().lines().limit(MOST_LINES + 1L).toList();
        lines.stream().limit(MOST_LINES).forEach(line -> quote.appendElement("p").text(line));
        if (lines.size() > MOST_LINES) {
            quote.appendElement("p").addClass("soft").text("Only the first " + MOST_LINES + " lines are printed.");
        }
    }

    private void mark(Block block, Element to) {
        Marking.Marked mark = standing.marked().get(block.id());
        if (mark != null) {
            to.appendElement("p").addClass("mark").text("Marked: " + Numbers.printShort(mark.points()) + " of " + Numbers.printShort(block.points())
                    + " points. " + mark.comment());
        }
    }

    private Map<String, Object> slot(String block, String slot) {
        return standing.progress().written().slot(block, slot);
    }
}
