package cauldron.server.reports;

import cauldron.core.block.prediction.PredictionBlock;
import cauldron.core.sheet.Blocks;
import org.jsoup.nodes.Element;

/** What was expected, and whether it was sealed. */
final class PredictionPrint implements Prints.Print<PredictionBlock> {

    @Override
    public void print(PredictionBlock block, Leaf leaf, Element to) {
        Element box = to.appendElement("div").addClass("prediction");
        box.appendElement("h3").text("Prediction: " + block.prompt());
        PredictionBlock.Expected answer = leaf.read(block, Blocks.ALL.kind(PredictionBlock.Kind.class).answer);
        for (int i = 0; i < block.choices().size(); i++) {
            boolean chosen = answer != null && answer.choice() != null && answer.choice().intValue() == i;
            box.appendElement("p").addClass("choice").text((chosen ? "● " : "○ ") + block.choices().get(i));
        }
        leaf.picture(block, box, "");
        if (answer != null && !answer.reason().isBlank()) {
            leaf.soft(box, block.reasonPrompt());
            leaf.quoted(box, answer.reason());
        }
        leaf.soft(box, leaf.standing().progress().isSealed(block.id()) ? "Sealed before measuring." : "Not sealed yet.");
    }
}
