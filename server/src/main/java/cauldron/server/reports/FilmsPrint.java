package cauldron.server.reports;

import cauldron.core.Tree;
import cauldron.core.block.films.FilmPlan;
import cauldron.core.block.films.FilmsBlock;
import cauldron.server.trials.Trials;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.nodes.Element;

/** Which recordings were made, by the names of what was chosen. */
final class FilmsPrint implements Prints.Print<FilmsBlock> {

    @Override
    public void print(FilmsBlock block, Leaf leaf, Element to) {
        List<String> made = leaf.standing().trials().stream().filter(t -> t.block().equals(block.id()))
                .map(t -> t.number() + ": " + String.join(", ", chosen(block, t))).toList();
        to.appendElement("p").text(made.isEmpty() ? "No recording was made." : "Recordings " + String.join(" · ", made));
    }

    private static List<String> chosen(FilmsBlock block, Trials.TrialInfo trial) {
        List<String> words = new ArrayList<>();
        for (FilmPlan.Choice choice : block.plan().choices()) {
            String id = Tree.text(trial.chosen(), choice.id(), "");
            choice.options().stream().filter(o -> o.id().equals(id)).findFirst().ifPresent(o -> words.add(o.name()));
        }
        return words;
    }
}
