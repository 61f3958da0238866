package cauldron.server.labs;

import cauldron.core.Tree;
import cauldron.core.sheet.Sheet;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Image;
import org.commonmark.node.Node;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;

/**
 * A sheet as pages show it: without key and hidden values, its Markdown set as HTML. Setting it here spares every
 * browser a reader of Markdown. HTML that somebody writes into a text stays text, and only ordinary addresses become
 * links.
 */
public final class Shown {

    private static final Parser MARKDOWN = Parser.builder().customInlineContentParserFactory(new Formulas()).build();
    private static final HtmlRenderer HTML = HtmlRenderer.builder().escapeHtml(true).sanitizeUrls(true)
            .nodeRendererFactory(Formulas.Setter::new).build();

    private Shown() {
    }

    /** Markdown as HTML. */
    public static String html(String markdown) {
        Node text = MARKDOWN.parse(markdown);
        text.accept(new AbstractVisitor() {
            @Override
            public void visit(Image image) {
                String address = Pictures.address(image.getDestination());
                if (address == null) {
                    // Nothing is fetched from elsewhere: what stands for the picture stays.
                    while (image.getFirstChild() != null) {
                        image.insertBefore(image.getFirstChild());
                    }
                    image.unlink();
                } else {
                    image.setDestination(address);
                }
            }
        });
        return HTML.render(text);
    }

    /** What a student's browser gets of a sheet. */
    public static Map<String, Object> toStudents(Sheet sheet) {
        Map<String, Object> tree = new LinkedHashMap<>(sheet.forStudent());
        List<Object> parts = new ArrayList<>();
        for (Map<String, Object> part : Tree.maps(tree, "parts")) {
            Map<String, Object> shown = new LinkedHashMap<>(part);
            shown.put("blocks", Tree.maps(part, "blocks").stream().map(Shown::set).toList());
            parts.add(shown);
        }
        tree.put("parts", parts);
        return tree;
    }

    private static Map<String, Object> set(Map<String, Object> block) {
        if (!(block.get("markdown") instanceof String markdown)) {
            return block;
        }
        Map<String, Object> shown = new LinkedHashMap<>(block);
        shown.remove("markdown");
        shown.put("html", html(markdown));
        return shown;
    }
}
