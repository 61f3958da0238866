package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Labs that teachers write: copied, changed with every state kept, made versions when nothing is wrong, and theirs alone. */
@ExtendWith(ServerExtension.class)
class DraftsTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MUTATIONS = 200;

    private final Visitor ines = Visitor.signedIn("ines");

    private String copyOf(String title) {
        return Visitor.read(ines.post("/api/drafts", Map.of("labId", ines.lab(title)))).get("id").asString();
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> sheet(JsonNode draft) {
        return JSON.convertValue(draft.get("sheet"), LinkedHashMap.class);
    }

    private HttpResponse<String> save(String lab, Map<String, Object> sheet, int seen) {
        return ines.put("/api/drafts/" + lab, Map.of("sheet", sheet, "seen", seen));
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> block(Map<String, Object> sheet, String id) {
        for (Map<String, Object> part : (List<Map<String, Object>>) sheet.get("parts")) {
            for (Map<String, Object> block : (List<Map<String, Object>>) part.get("blocks")) {
                if (id.equals(block.get("id"))) {
                    return block;
                }
            }
        }
        throw new AssertionError("no block " + id);
    }

    @Test
    void aCopyIsChangedTriedForFaultsAndGiven() {
        String lab = copyOf("The lamp keeper's clock");
        JsonNode draft = ines.json("/api/drafts/" + lab);
        assertThat(draft.at("/sheet/title").asString()).isEqualTo("Copy of The lamp keeper's clock");
        assertThat(draft.get("faults")).isEmpty();
        assertThat(draft.get("version").asInt()).isZero();
        assertThat(ines.get("/api/labs/" + lab).statusCode()).as("no version yet").isEqualTo(404);
        Map<String, Object> sheet = sheet(draft);
        sheet.put("title", "The tide clock");
        block(sheet, "why").put("points", -1);
        JsonNode faulty = Visitor.read(save(lab, sheet, 1));
        assertThat(faulty.at("/faults/0/place").asString()).contains("block why").contains("points");
        assertThat(faulty.at("/faults/0/what").asString()).contains("from 0 to 1000");
        assertThat(faulty.get("shown").isNull()).isTrue();
        HttpResponse<String> early = ines.post("/api/drafts/" + lab + "/versions", Map.of());
        assertThat(early.statusCode()).isEqualTo(409);
        assertThat(early.body()).contains("block why");
        block(sheet, "why").put("points", 5);
        JsonNode sound = Visitor.read(save(lab, sheet, 2));
        assertThat(sound.get("faults")).isEmpty();
        assertThat(sound.at("/shown/title").asString()).isEqualTo("The tide clock");
        assertThat(sound.get("shown").toString()).as("the key stays here").doesNotContain("\"key\"");
        JsonNode given = Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        assertThat(given.get("version").asInt()).isEqualTo(1);
        assertThat(given.get("changed").asBoolean()).isFalse();
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        assertThat(ines.json("/api/drafts/" + lab).get("version").asInt()).as("nothing new, no new version").isEqualTo(1);
        String klass = Visitor.read(ines.post("/api/classes", Map.of("name", "Makers " + UUID.randomUUID()))).get("id").asString();
        assertThat(ines.post("/api/teaching/assignments", Map.of("labId", lab, "classes", List.of(Map.of("classId",
                klass)))).statusCode()).isEqualTo(200);
    }

    @Test
    void aLabIsTriedOnStudentsWhoDontExist() {
        String lab = copyOf("The slip's lost label");
        String made = "/api/drafts/" + lab + "/made-up/";
        JsonNode films = ines.json(made + "films");
        assertThat(films.get("students")).hasSize(5);
        assertThat(films.at("/students/0/values").toString()).contains("Spring constant", "N/m");
        List<String> questions = new java.util.ArrayList<>();
        for (JsonNode part : ines.json("/api/drafts/" + lab).at("/shown/parts")) {
            for (JsonNode block : part.get("blocks")) {
                if (block.get("type").asString().equals("number")) {
                    questions.add(block.get("id").asString());
                }
                if (block.get("type").asString().equals("films")) {
                    films(made, block);
                }
            }
        }
        assertThat(questions).isNotEmpty().allSatisfy(q -> assertThat(ines.json(made + q).at("/answers/0/right")
                .asBoolean()).isTrue());
        assertThat(ines.get(made + "why").statusCode()).as("nothing to try").isEqualTo(404);
        assertThat(Visitor.signedIn("tobiah").get(made + "films").statusCode()).isEqualTo(404);
    }

    @Test
    void slipsThatShippedLabsKnowAreOfferedByApparatus() {
        JsonNode known = ines.json("/api/labs/slips/hanging-spring");
        assertThat(known.valueStream().map(s -> s.get("hint").asString())).anyMatch(h -> h.contains("whole bounce"));
        assertThat(known.at("/0/factor").asDouble()).isEqualTo(4);
        assertThat(ines.json("/api/labs/slips/volume-bench").toString()).contains("\"outcome\":\"");
        assertThat(ines.json("/api/labs/slips/none")).isEmpty();
        assertThat(Visitor.signedIn("esi.lund").get("/api/labs/slips/pendulum").statusCode()).isEqualTo(403);
    }

    private void films(String made, JsonNode block) {
        Map<String, Object> chosen = new java.util.LinkedHashMap<>();
        block.get("choices").forEach(c -> chosen.put(c.get("id").asString(), c.at("/options/0/id").asString()));
        Map<String, Object> film = Map.of("student", 1, "chosen", chosen, "view", block.at("/views/0").asString());
        assertThat(ines.postForBytes(made + "films/film", film)).hasSizeGreaterThan(1000);
        assertThat(ines.post(made + "films/film", Map.of("student", 5, "chosen", chosen, "view", "front")).statusCode())
                .isEqualTo(400);
        assertThat(ines.post(made + "films/film", Map.of("student", 1, "chosen", Map.of(), "view", block.at("/views/0")
                .asString()))
                .statusCode()).isEqualTo(400);
    }

    @Test
    void whatIsHiddenIsKeptAndInNoVersion() {
        String lab = copyOf("The lamp keeper's clock");
        Map<String, Object> sheet = sheet(ines.json("/api/drafts/" + lab));
        block(sheet, "why").put("hidden", true);
        JsonNode kept = Visitor.read(save(lab, sheet, 1));
        assertThat(kept.get("faults")).isEmpty();
        assertThat(kept.get("shown").toString()).doesNotContain("\"why\"");
        assertThat(kept.get("sheet").toString()).contains("\"why\"");
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        assertThat(ines.json("/api/labs/" + lab).get("sheet").toString()).doesNotContain("\"why\"");
        block(sheet, "g").put("hidden", true);
        block(sheet, "readings").put("hidden", true);
        assertThat(Visitor.read(save(lab, sheet, 2)).get("faults").toString()).as("a graph speaks of what is hidden")
                .contains("readings");
    }

    @Test
    void aNewerModelOfAnApparatusIsToldUntilTheLabIsMadeReadyAgain() {
        String lab = copyOf("The lamp keeper's clock");
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        assertThat(ines.json("/api/drafts/" + lab).get("models")).isEmpty();
        ServerExtension.bean(org.springframework.jdbc.core.JdbcTemplate.class).update(
                "update lab_version set models = '{\"pendulum\": 0}' where lab_id = cast(? as uuid)", lab);
        JsonNode open = ines.json("/api/drafts/" + lab);
        assertThat(open.at("/models/0").asString()).contains("The pendulum has a newer model", "version 0");
        assertThat(open.get("changed").asBoolean()).isTrue();
        assertThat(Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of())).get("models")).isEmpty();
    }

    @Test
    void onesOwnLabsAreListedTheOneChangedLastFirst() {
        String first = copyOf("As much in as out");
        String second = copyOf("The coal run");
        Map<String, Object> sheet = sheet(ines.json("/api/drafts/" + first));
        sheet.put("title", " ");
        Visitor.read(save(first, sheet, 1));
        JsonNode list = ines.json("/api/drafts");
        assertThat(list.at("/0/id").asString()).isEqualTo(first);
        assertThat(list.at("/0/title").asString()).isEqualTo("Without a title");
        assertThat(list.at("/1/id").asString()).isEqualTo(second);
        assertThat(list.at("/1/version").asInt()).isZero();
        Visitor.read(ines.post("/api/drafts/" + second + "/versions", Map.of()));
        assertThat(ines.json("/api/drafts").at("/1/version").asInt()).isEqualTo(1);
    }

    @Test
    void oneIsBegunWithAnApparatusAndCanBeGivenAsItIs() {
        String lab = Visitor.read(ines.post("/api/drafts", Map.of("apparatus", "twin-tanks"))).get("id").asString();
        assertThat(ines.json("/api/drafts/" + lab).get("faults")).isEmpty();
        assertThat(Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of())).get("version").asInt()).isEqualTo(1);
        HttpResponse<String> unknown = ines.post("/api/drafts", Map.of("apparatus", "perpetuum"));
        assertThat(unknown.statusCode()).isEqualTo(400);
        assertThat(Visitor.read(unknown).get("detail").asString()).isEqualTo("There is no apparatus “perpetuum”.");
        assertThat(ines.post("/api/drafts", Map.of()).statusCode()).isEqualTo(400);
    }

    @Test
    void aClassAtWorkStaysWithItsVersion() {
        String lab = copyOf("The lamp keeper's clock");
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        Room room = Room.ofLab("ines", lab);
        Map<String, Object> sheet = sheet(ines.json("/api/drafts/" + lab));
        sheet.put("title", "Changed while they work");
        Visitor.read(save(lab, sheet, 1));
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        assertThat(room.student().json("/api/works/" + room.work()).at("/sheet/title").asString()).startsWith("Copy of");
        assertThat(ines.json("/api/labs/" + lab).at("/sheet/title").asString()).isEqualTo("Changed while they work");
    }

    @Test
    void everyStateIsKeptAndCanBeGoneBackTo() {
        String lab = copyOf("As much in as out");
        Map<String, Object> sheet = sheet(ines.json("/api/drafts/" + lab));
        for (int i = 1; i <= 3; i++) {
            sheet.put("summary", "Summary " + i);
            Visitor.read(save(lab, sheet, i));
        }
        assertThat(Visitor.read(save(lab, sheet, 4)).get("number").asInt()).as("nothing changed, no new state").isEqualTo(4);
        assertThat(ines.json("/api/drafts/" + lab + "/states")).hasSize(4);
        JsonNode back = Visitor.read(ines.post("/api/drafts/" + lab + "/back", Map.of("number", 2)));
        assertThat(back.at("/sheet/summary").asString()).isEqualTo("Summary 1");
        assertThat(back.get("number").asInt()).isEqualTo(5);
        assertThat(ines.post("/api/drafts/" + lab + "/back", Map.of("number", 77)).statusCode()).isEqualTo(404);
    }

    @Test
    void theSecondWindowIsToldAndOverwritesNothing() {
        String lab = copyOf("As much in as out");
        Map<String, Object> sheet = sheet(ines.json("/api/drafts/" + lab));
        sheet.put("title", "First");
        Visitor.read(save(lab, sheet, 1));
        sheet.put("title", "Second");
        HttpResponse<String> second = save(lab, sheet, 1);
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(Visitor.read(second).get("detail").asString()).contains("another window");
        assertThat(ines.json("/api/drafts/" + lab).at("/sheet/title").asString()).isEqualTo("First");
    }

    @Test
    void nobodyElseMeetsIt() {
        String lab = copyOf("As much in as out");
        Visitor.read(ines.post("/api/drafts/" + lab + "/versions", Map.of()));
        Visitor tobiah = Visitor.signedIn("tobiah");
        Map<String, Object> saving = Map.of("sheet", Map.of(), "seen", 1);
        assertThat(tobiah.get("/api/drafts/" + lab).statusCode()).isEqualTo(404);
        assertThat(tobiah.get("/api/drafts/" + lab + "/states").statusCode()).isEqualTo(404);
        assertThat(tobiah.put("/api/drafts/" + lab, saving).statusCode()).isEqualTo(404);
        assertThat(tobiah.post("/api/drafts/" + lab + "/back", Map.of("number", 1)).statusCode()).isEqualTo(404);
        assertThat(tobiah.post("/api/drafts/" + lab + "/versions", Map.of()).statusCode()).isEqualTo(404);
        assertThat(tobiah.post("/api/drafts", Map.of("labId", lab)).statusCode()).isEqualTo(404);
        assertThat(tobiah.get("/api/labs/" + lab).statusCode()).isEqualTo(404);
        assertThat(tobiah.json("/api/labs").toString()).doesNotContain(lab);
        assertThat(tobiah.json("/api/drafts").toString()).doesNotContain(lab);
        String klass = Visitor.read(tobiah.post("/api/classes", Map.of("name", "Others " + UUID.randomUUID()))).get("id")
                .asString();
        assertThat(tobiah.post("/api/teaching/assignments", Map.of("labId", lab, "classes", List.of(Map.of("classId",
                klass)))).statusCode()).isEqualTo(404);
        Visitor student = Visitor.signedIn("esi.lund");
        assertThat(student.get("/api/drafts").statusCode()).isEqualTo(403);
        assertThat(student.get("/api/drafts/" + lab).statusCode()).isEqualTo(403);
        assertThat(new Visitor().get("/api/drafts").statusCode()).isEqualTo(401);
    }

    /** Shipped labs with something changed at random: read rightly or refused with places, kept all the same. */
    @Test
    void whateverIsWrittenIsKeptAndJudged() throws IOException {
        List<Path> files;
        try (var all = Files.list(Path.of("src", "main", "resources", "labs"))) {
            files = all.sorted().toList();
        }
        String lab = copyOf("As much in as out");
        Random chance = new Random(4711);
        int number = 1;
        int faulty = 0;
        for (int i = 0; i < MUTATIONS; i++) {
            @SuppressWarnings("unchecked")
            Map<String, Object> sheet = JSON.readValue(Files.readString(files.get(i % files.size())), LinkedHashMap.class);
            mutate(sheet, chance, 1 + chance.nextInt(3));
            HttpResponse<String> answer = save(lab, sheet, number);
            assertThat(answer.statusCode()).as("mutation %d: %s", i, answer.body()).isEqualTo(200);
            JsonNode draft = Visitor.read(answer);
            number = draft.get("number").asInt();
            faulty += draft.get("faults").isEmpty() ? 0 : 1;
            assertThat(draft.get("faults").isEmpty()).isEqualTo(!draft.get("shown").isNull());
            draft.get("faults").forEach(f -> assertThat(f.get("what").asString()).isNotBlank().doesNotContain("Exception"));
        }
        assertThat(faulty).as("most changes at random do harm").isGreaterThan(MUTATIONS / 2);
        HttpResponse<String> odd = save(lab, Map.of("title", "a\u0000b"), number);
        assertThat(odd.statusCode()).isEqualTo(400);
        assertThat(odd.body()).contains("\"field\":\"title\"", "a character in this that no text can hold");
    }

    /** Changes so many things, each somewhere at random. */
    @SuppressWarnings("unchecked")
    private static void mutate(Object tree, Random chance, int times) {
        for (int i = 0; i < times; i++) {
            Object[] odd = {null, "", "word", -1, 1e300, 7.5, true, new ArrayList<>(), new ArrayList<>(List.of(1, "two")),
                new LinkedHashMap<>(), new LinkedHashMap<>(Map.of("type", "film")), "x".repeat(5000)};
            Object at = tree;
            while (true) {
                if (at instanceof List<?> list && !list.isEmpty()) {
                    int which = chance.nextInt(list.size());
                    if (chance.nextInt(4) == 0 || !(list.get(which) instanceof Map || list.get(which) instanceof List)) {
                        ((List<Object>) list).set(which, odd[chance.nextInt(odd.length)]);
                        break;
                    }
                    at = list.get(which);
                } else if (at instanceof Map<?, ?> map && !map.isEmpty()) {
                    List<String> keys = new ArrayList<>((java.util.Set<String>) map.keySet());
                    String key = keys.get(chance.nextInt(keys.size()));
                    Object inner = map.get(key);
                    if (chance.nextInt(6) == 0 || !(inner instanceof Map || inner instanceof List)) {
                        ((Map<String, Object>) map).put(chance.nextInt(3) == 0 ? key + "s" : key, odd[chance.nextInt(odd.length)]);
                        break;
                    }
                    at = inner;
                } else {
                    break;
                }
            }
        }
    }
}
