package cauldron.server.reports;

import cauldron.core.block.choice.ChoiceBlock;
import cauldron.core.sheet.Blocks;
import java.util.List;
import cauldron.server.worksheets.Told;
import org.jsoup.nodes.Element;

/** A question with its choices, those taken marked, the reason, the best try and what it brought. */
final class ChoicePrint implements Prints.Print<ChoiceBlock> {

    @Override
    public void print(ChoiceBlock block, Leaf leaf, Element to) {
        Told.heading(to, block.prompt(), block.points());
        ChoiceBlock.Chosen answer = leaf.read(block, Blocks.ALL.kind(ChoiceBlock.Kind.class).answer);
        List<Integer> chosen = answer == null ? List.of() : answer.chosen();
        Element list = to.appendElement("ul");
        for (int i = 1; i <= block.choices().size(); i++) {
            list.appendElement("li").text((chosen.contains(i) ? "[×] " : "[  ] ") + block.choices().get(i - 1).text());
        }
        if (!block.reasonPrompt().isEmpty()) {
            leaf.soft(to, block.reasonPrompt());
            leaf.quoted(to, answer == null ? "" : answer.reason());
        }
        leaf.tried(block, to);
        leaf.mark(block, to);
    }
}
