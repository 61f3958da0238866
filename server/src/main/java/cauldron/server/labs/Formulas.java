package cauldron.server.labs;

import java.util.Map;
import java.util.Set;
import org.commonmark.node.CustomNode;
import org.commonmark.node.Node;
import org.commonmark.parser.beta.InlineContentParser;
import org.commonmark.parser.beta.InlineContentParserFactory;
import org.commonmark.parser.beta.InlineParserState;
import org.commonmark.parser.beta.ParsedInline;
import org.commonmark.parser.beta.Position;
import org.commonmark.parser.beta.Scanner;
import org.commonmark.renderer.NodeRenderer;
import org.commonmark.renderer.html.HtmlNodeRendererContext;
import org.commonmark.renderer.html.HtmlWriter;

/**
 * Formulas in a text, in TeX between {@code $} in a line or between {@code $$} on their own. The server sets them as
 * they
 * were written, marked as formulas; the page draws them. A dollar before a space or after one is a dollar, as is one
 * that no second follows.
 */
final class Formulas implements InlineContentParserFactory {

    private static final int LONGEST = 1000;

    /** A formula. */
    static final class Formula extends CustomNode {

        private final String tex;
        private final boolean alone;

        Formula(String tex, boolean alone) {
            this.tex = tex;
            this.alone = alone;
        }
    }

    @Override
    public Set<Character> getTriggerCharacters() {
        return Set.of('$');
    }

    @Override
    public InlineContentParser create() {
        return Formulas::read;
    }

    private static ParsedInline read(InlineParserState state) {
        Scanner in = state.scanner();
        in.next();
        boolean alone = in.next('$');
        Position from = in.position();
        int length = in.find('$');
        if (length <= 0 || length > LONGEST) {
            return ParsedInline.none();
        }
        String tex = in.getSource(from, in.position()).getContent();
        in.next();
        boolean closed = alone ? in.next('$') : !Character.isDigit(in.peek());
        if (!closed || tex.isBlank() || !alone && !tex.equals(tex.strip())) {
            return ParsedInline.none();
        }
        return ParsedInline.of(new Formula(tex.strip(), alone), in.position());
    }

    /** Sets formulas as text that the page finds. */
    static final class Setter implements NodeRenderer {

        private final HtmlWriter to;

        Setter(HtmlNodeRendererContext context) {
            this.to = context.getWriter();
        }

        @Override
        public Set<Class<? extends Node>> getNodeTypes() {
            return Set.of(Formula.class);
        }

        @Override
        public void render(Node node) {
            Formula formula = (Formula) node;
            to.tag("span", Map.of("class", formula.alone ? "formula alone" : "formula"));
            to.text(formula.tex);
            to.tag("/span");
        }
    }
}
