package cauldron.server.guides;

import cauldron.server.platform.Person;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.commonmark.ext.gfm.tables.TablesExtension;
import org.commonmark.node.AbstractVisitor;
import org.commonmark.node.Code;
import org.commonmark.node.Document;
import org.commonmark.node.Heading;
import org.commonmark.node.Node;
import org.commonmark.node.Text;
import org.commonmark.parser.Parser;
import org.commonmark.renderer.html.HtmlRenderer;

/**
 * The files of docs/ that are for people who use Cauldron, cut into their sections. They are read once, when the server
 * starts, so that a missing one is found then.
 */
final class Guides {

    /**
     * A guide.
     *
     * @param id the name of its file, without the ending
     */
    record Guide(@NotNull String id, @NotNull String title, @NotNull List<Section> sections) {
    }

    /**
     * A stretch below a heading; what stands above the first is a section named like the guide.
     *
     * @param id   its heading in lower-case letters, with hyphens
     * @param html its words, without the heading
     */
    record Section(@NotNull String id, @NotNull String title, @NotNull String html) {
    }

    private static final Map<Person.Role, List<String>> FOR = Map.of(
            Person.Role.STUDENT, List.of("for-students", "notebook"),
            Person.Role.TEACHER, List.of("for-teachers", "for-students", "notebook"),
            Person.Role.ADMINISTRATOR, List.of("running", "for-teachers", "for-students", "notebook"));

    private static final List<TablesExtension> WITH_TABLES = List.of((TablesExtension) TablesExtension.create());
    private final Parser parser = Parser.builder().extensions(WITH_TABLES).build();
    private final HtmlRenderer renderer = HtmlRenderer.builder().extensions(WITH_TABLES).escapeHtml(true).build();
    private final Map<String, Guide> all;

    Guides() {
        Map<String, Guide> read = new HashMap<>();
        FOR.values().stream().flatMap(List::stream).distinct().forEach(id -> read.put(id, read(id)));
        all = Map.copyOf(read);
    }

    /** The guides of a role, its own first. */
    List<Guide> of(Person.Role role) {
        return FOR.get(role).stream().map(all::get).toList();
    }

    private Guide read(String id) {
        try (InputStream in = Guides.class.getResourceAsStream("/guides/" + id + ".md")) {
            if (in == null) {
                throw new IllegalStateException("The guide " + id + " is missing");
            }
            return cut(id, parser.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Guide cut(String id, Node document) {
        String title = id;
        List<Section> sections = new ArrayList<>();
        Document body = new Document();
        String heading = "";
        for (Node at = document.getFirstChild(); at != null;) {
            Node next = at.getNext();
            if (at instanceof Heading h && h.getLevel() == 1) {
                title = words(h);
                heading = title;
            } else if (at instanceof Heading h && h.getLevel() == 2) {
                add(sections, heading, body);
                heading = words(h);
                body = new Document();
            } else {
                body.appendChild(at);
            }
            at = next;
        }
        add(sections, heading, body);
        return new Guide(id, title, List.copyOf(sections));
    }

    private void add(List<Section> sections, String heading, Document body) {
        if (body.getFirstChild() != null) {
            String id = heading.toLowerCase().replaceAll("[^a-z0-9]+", "-");
            sections.add(new Section(id, heading, renderer.render(body)));
        }
    }

    private static String words(Node node) {
        StringBuilder words = new StringBuilder();
        node.accept(new AbstractVisitor() {
            @Override
            public void visit(Text text) {
                words.append(text.getLiteral());
            }

            @Override
            public void visit(Code code) {
                words.append(code.getLiteral());
            }
        });
        return words.toString();
    }
}
