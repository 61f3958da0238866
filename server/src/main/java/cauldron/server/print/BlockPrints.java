package cauldron.server.print;

import cauldron.core.block.Block;
import cauldron.core.sheet.Blocks;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jsoup.nodes.Element;

/**
 * How each kind of block is put on paper, with what a print may ask for. A kind that is missing or listed twice is told
 * when the application starts.
 *
 * @param <C> what a print may ask for
 */
public final class BlockPrints<C> {

    /** Prints one block of a kind. */
    public interface Print<B extends Block, C> {
        void print(B block, C context, Element to);
    }

    private final Map<Class<?>, Print<Block, C>> all = new LinkedHashMap<>();

    /** Takes in how a kind is printed. */
    @SuppressWarnings("unchecked")
    public <B extends Block> BlockPrints<C> with(Class<B> kind, Print<B, C> print) {
        if (all.put(kind, (Print<Block, C>) print) != null) {
            throw new IllegalStateException(kind.getSimpleName() + " is printed in two ways");
        }
        return this;
    }

    /** The same, once all kinds are there. */
    public BlockPrints<C> complete() {
        if (all.size() != Blocks.ALL.all().size()) {
            throw new IllegalStateException("There are " + Blocks.ALL.all().size() + " kinds of block, but prints of "
                    + all.size());
        }
        return this;
    }

    public void print(Block block, C context, Element to) {
        all.get(block.getClass()).print(block, context, to);
    }
}
