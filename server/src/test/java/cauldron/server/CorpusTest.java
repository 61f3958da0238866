package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import cauldron.core.Tree;
import cauldron.core.analysis.DataTable;
import cauldron.core.block.Block;
import cauldron.core.block.table.TableBlock;
import cauldron.core.block.table.RowsAsked;
import cauldron.core.sheet.Progress;
import cauldron.core.sheet.Sheet;
import cauldron.server.assignments.Assignments;
import cauldron.server.assignments.Terms;
import cauldron.server.classes.Classes;
import cauldron.server.labs.Labs;
import cauldron.server.marking.Marking;
import cauldron.server.platform.Person;
import cauldron.server.reports.ReportText;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Stored notebooks, good, odd and half typed, mean what they meant before: what is missing and unreadable, what their
 * tables come to, what their report says. Written by {@code -Dcauldron.corpus.write=true}; a difference is a fault unless it
 * is meant.
 */
@Execution(ExecutionMode.CONCURRENT)
@ExtendWith(ServerExtension.class)
class CorpusTest {

    private static final Path FOLDER = Path.of("src", "test", "resources", "corpus");
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int GOOD = 20;
    private static final int ODD = 14;

    private UUID teacher;
    private UUID schoolClass;
    private String code;

    @BeforeEach
    void aClassOfTheirOwn() {
        teacher = ServerExtension.bean(JdbcClient.class).sql("select id from account where user_name = 'ines'").query(UUID.class).single();
        Classes.ClassInfo made = ServerExtension.bean(Classes.class).create(teacher, "Readers", null);
        schoolClass = made.id();
        code = made.code();
    }

    @Test
    @SuppressWarnings("unchecked")
    void notebooksMeanWhatTheyMeantBefore() throws IOException {
        Corpus corpus = new Corpus(ServerExtension.bean(JdbcClient.class));
        if (Boolean.getBoolean("cauldron.corpus.write")) {
            write(corpus);
        }
        List<Path> files;
        try (Stream<Path> all = Files.list(FOLDER)) {
            files = all.sorted().toList();
        }
        assertThat(files).hasSizeGreaterThanOrEqualTo(30);
        for (Path file : files) {
            Map<String, Object> tree = JSON.readValue(Files.readString(file), Map.class);
            JsonNode found = JSON.valueToTree(meaning(corpus, (Map<String, Object>) tree.get("notebook")));
            if (Boolean.getBoolean("cauldron.corpus.meaning")) {
                // The notebooks stay; what has changed of their meaning is to be looked at, line by line, before it is kept.
                Files.writeString(file, JSON.writerWithDefaultPrettyPrinter().writeValueAsString(Tree.of("notebook",
                        tree.get("notebook"), "meaning", found)) + "\n");
                continue;
            }
            JsonNode before = JSON.valueToTree(tree.get("meaning"));
            for (String part : List.of("missing", "unreadable", "tables", "report")) {
                assertThat(found.get(part).toPrettyString()).as("%s, %s", file.getFileName(), part).isEqualTo(before.get(part).toPrettyString());
            }
        }
    }

    private void write(Corpus corpus) throws IOException {
        Files.createDirectories(FOLDER);
        List<Map<String, Object>> good = new ArrayList<>();
        Labs labs = ServerExtension.bean(Labs.class);
        Map<UUID, String> titles = new LinkedHashMap<>();
        // Of every lab some, by how far they have come.
        ServerExtension.bean(JdbcClient.class).sql("""
                select id, lab from (select w.id, a.lab_version_id as lab,
                    row_number() over (partition by a.lab_version_id order by (select count(*) from entry e where e.work_id = w.id), w.id) as n
                  from work w join assignment a on a.id = w.assignment_id join account s on s.id = w.student_id
                  where s.user_name like '%.%') numbered where n % 3 = 1 order by lab, n""")
                .query((r, n) -> titles.put(r.getObject(1, UUID.class), labs.sheet(r.getObject(2, UUID.class), null)
                        .title())).list();
        titles.forEach((work, title) -> good.add(corpus.stored(work, title)));
        List<Map<String, Object>> all = new ArrayList<>(good.subList(0, Math.min(GOOD, good.size())));
        for (int seed = 1; seed <= ODD; seed++) {
            all.add(Corpus.damaged(good.get(seed * 7 % good.size()), seed));
        }
        for (int i = 0; i < all.size(); i++) {
            String name = String.format("%02d-%s.json", i + 1, i < all.size() - ODD ? "stored" : "odd");
            Files.writeString(FOLDER.resolve(name), JSON.writerWithDefaultPrettyPrinter()
                    .writeValueAsString(Tree.of("notebook", all.get(i), "meaning", meaning(corpus, all.get(i)))) + "\n");
        }
    }

    private Map<String, Object> meaning(Corpus corpus, Map<String, Object> notebook) {
        Labs.LabInfo lab = ServerExtension.bean(Labs.class).shipped().stream().filter(l -> l.sheet().title().equals(notebook.get("lab")))
                .findFirst().orElseThrow();
        Assignments assignments = ServerExtension.bean(Assignments.class);
        Person student = ServerExtension.bean(Classes.class).join(code, "Reader " + UUID.randomUUID().toString().substring(0, 8), "none");
        UUID given = assignments.give(teacher, schoolClass, lab.id(), Terms.due(null)).id();
        UUID work = assignments.begin(given, student.id()).id();
        corpus.restore(notebook, work);
        Assignments.Opened opened = assignments.open(work, student);
        Marking.Standing standing = ServerExtension.bean(Marking.class).standing(opened);
        return Tree.of("missing", standing.progress().missing().stream().map(m -> m.get("text")).toList(),
                "unreadable", standing.book().unreadable().stream().map(u -> u.block() + " " + u.slot() + ": " + u.reason()).toList(),
                "tables", tables(standing.progress()), "report", ReportText.of(opened, standing));
    }

    /** Every column of every table as it is printed, with what is wrong with it. */
    private static Map<String, Object> tables(Progress progress) {
        Map<String, Object> tables = new LinkedHashMap<>();
        for (Sheet.Part part : progress.sheet().parts()) {
            for (Block block : part.blocks()) {
                if (block instanceof TableBlock table) {
                    DataTable worked = DataTable.of(progress.table(table));
                    List<Object> columns = new ArrayList<>();
                    columns.add("complete rows: " + RowsAsked.of(worked, table.columns(), 0).complete());
                    for (DataTable.Column c : worked.columns()) {
                        StringBuilder line = new StringBuilder(c.id() + " " + c.symbol() + " / " + c.unit().symbol());
                        line.append(c.trouble() == null ? "" : " (" + c.trouble() + ")").append(":");
                        for (int row = 0; row < c.values().length; row++) {
                            line.append(' ').append(c.text(row)).append('±').append(c.sureness(row)).append(';');
                        }
                        columns.add(line.toString());
                    }
                    tables.put(block.id(), columns);
                }
            }
        }
        return tables;
    }
}
