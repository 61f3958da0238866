package cauldron.core.block.reading;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.text;

import cauldron.core.block.Block;
import cauldron.core.block.BlockKind;
import cauldron.core.block.Neighbours;
import cauldron.core.form.Field;
import cauldron.core.form.Filled;
import cauldron.core.form.Form;
import cauldron.core.form.Where;
import java.util.List;

/** What to read further: books, chapters, pages. */
public record ReadingBlock(String id, List<Source> sources) implements Block {

    private static final String SAFE = "https://";

    /**
     * One of them.
     *
     * @param about   what is found there; may be empty
     * @param address where on the web, beginning with https; empty where it is printed
     */
    public record Source(String title, String about, String address) {
    }

    @Override
    public String type() {
        return "reading";
    }

    /** How it is declared. */
    public static final class Kind extends BlockKind<ReadingBlock> {

        private final Field<ReadingBlock, List<Source>> sources = field("sources", list(new SourceForm(), 20),
                ReadingBlock::sources);

        /** The kind. */
        public Kind() {
            super("reading", "FurtherReading", "What to read further: books, chapters, pages.");
        }

        @Override
        protected ReadingBlock make(Filled f) {
            return new ReadingBlock(f.get(id), f.get(sources));
        }

        @Override
        public void checkAmong(ReadingBlock block, Neighbours all, Where at) {
            for (Source source : block.sources()) {
                if (!source.address().isEmpty() && !source.address().startsWith(SAFE)) {
                    at.fault("sources: the address of “" + source.title() + "” has to begin with " + SAFE);
                }
            }
        }
    }

    private static final class SourceForm extends Form<Source> {

        private final Field<Source, String> title = field("title", text(200), Source::title);
        private final Field<Source, String> about = field("about", text(1000), Source::about).otherwise("");
        private final Field<Source, String> address = field("address", text(500), Source::address).otherwise("")
                .says("Where on the web, beginning with https; without it, it is printed.");

        SourceForm() {
            super("Source", "Something to read.");
        }

        @Override
        protected Source make(Filled f) {
            return new Source(f.get(title), f.get(about), f.get(address));
        }
    }
}
