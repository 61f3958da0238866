package cauldron.server.reports;

import cauldron.core.block.number.NumberBlock;
import cauldron.core.sheet.Blocks;
import cauldron.server.worksheets.Told;
import org.jsoup.nodes.Element;

/** A question with the answer that stands there, its best try and what it brought. */
final class NumberPrint implements Prints.Print<NumberBlock> {

    @Override
    public void print(NumberBlock block, Leaf leaf, Element to) {
        Told.heading(to, block.prompt(), block.points());
        NumberBlock.Answered answer = leaf.read(block, Blocks.ALL.kind(NumberBlock.Kind.class).answer);
        leaf.quoted(to, answer == null ? "" : (answer.number() + " " + answer.unit()).strip());
        leaf.tried(block, to);
        leaf.mark(block, to);
    }
}
