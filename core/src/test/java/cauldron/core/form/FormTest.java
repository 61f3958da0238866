package cauldron.core.form;

import static cauldron.core.form.Kinds.list;
import static cauldron.core.form.Kinds.map;
import static cauldron.core.form.Kinds.number;
import static cauldron.core.form.Kinds.text;
import static cauldron.core.form.Kinds.whole;
import static cauldron.core.form.Kinds.word;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import cauldron.core.RandomSource;
import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Structures are read completely, told of completely, and never thrown through. */
class FormTest {

    private record Leg(String name, double length) {
    }

    private record Stool(String title, int seats, String wood, List<Leg> legs, Map<String, Double> prices, String secret, String note) {
    }

    private static final class LegForm extends Form<Leg> {
        private final Field<Leg, String> name = field("name", text(5), Leg::name);
        private final Field<Leg, Double> length = field("length", number(0, 2), Leg::length).says("In metres.");

        LegForm() {
            super("Leg", "A leg.");
        }

        @Override
        protected Leg make(Filled f) {
            if (f.get(name).equals("break")) {
                throw new IllegalArgumentException("a leg may not break");
            }
            return new Leg(f.get(name), f.get(length));
        }
    }

    private static final class StoolForm extends Form<Stool> {
        private final Field<Stool, String> title = field("title", text(20), Stool::title);
        private final Field<Stool, Integer> seats = field("seats", whole(1, 3), Stool::seats).otherwise(1);
        private final Field<Stool, String> wood = field("wood", word("oak", "ash"), Stool::wood);
        private final Field<Stool, List<Leg>> legs = field("legs", list(new LegForm(), 4), Stool::legs).given(s -> s.legs().subList(0, 1));
        private final Field<Stool, Map<String, Double>> prices = field("prices", map(number()), Stool::prices).otherwise(Map.of());
        private final Field<Stool, String> secret = field("secret", text(20), Stool::secret).optional().hidden();
        private final Field<Stool, String> note = field("note", text(20), Stool::note).optional();

        StoolForm() {
            super("Stool", "A stool.");
            told("legCount", whole(0, 4), s -> s.legs().size());
        }

        @Override
        protected Stool make(Filled f) {
            return new Stool(f.get(title), f.get(seats), f.get(wood), f.get(legs), f.get(prices), f.get(secret), f.get(note));
        }

        @Override
        protected void check(Stool made, Where at) {
            if (made.legs().size() < made.seats()) {
                at.fault("fewer legs than seats");
            }
        }
    }

    private static final StoolForm FORM = new StoolForm();

    private static List<String> faults(Object tree, Where at) {
        assertThat(FORM.read(tree, at)).isNull();
        return at.faults().stream().map(Fault::text).toList();
    }

    private static Map<String, Object> leg(Object name, Object length) {
        return Tree.of("name", name, "length", length);
    }

    @Test
    void whatIsSoundIsReadAndWrittenAgain() {
        Map<String, Object> tree = Tree.of("title", "Milking", "seats", 1.0, "wood", "ash", "legs", List.of(leg("a", 0.4), leg("b", 0.5)),
                "prices", Tree.of("new", 12.5), "secret", "s3cret");
        Stool stool = FORM.read(tree, Where.strict());
        assertThat(stool.legs()).containsExactly(new Leg("a", 0.4), new Leg("b", 0.5));
        assertThat(FORM.write(stool)).isEqualTo(tree);
        assertThat(FORM.show(stool)).doesNotContainKey("secret").containsEntry("legCount", 2.0)
                .containsEntry("legs", List.of(leg("a", 0.4)));
    }

    @Test
    void allFaultsAreToldTogetherEachWithItsPlace() {
        assertThat(faults(Tree.of("titel", "x", "seats", 2.5, "wood", "glass", "legs", List.of(leg("a", 3), 7, leg("break", 1), leg("toolong", "x")),
                "prices", Tree.of("new", "dear"), "legCount", 2.0), Where.strict())).containsExactlyInAnyOrder(
                "there is no field “titel” here; is “title” meant?", "there is no field “legCount” here", "title: a text is needed",
                "seats: a whole number from 1 to 3 is needed", "wood: one of “oak”, “ash” is needed",
                "legs 1, length: a number from 0 to 2 is needed", "legs 2: a group of fields is needed", "legs 3: a leg may not break",
                "legs 4, name: at most 5 characters", "legs 4, length: a number is needed", "prices, new: a number is needed");
        assertThat(faults(Tree.of("title", "x", "seats", 2.0, "wood", "oak", "legs", List.of(leg("a", 1))), Where.strict()))
                .containsExactly("fewer legs than seats");
    }

    @Test
    void whatProgramsAddedIsPassedOver() {
        Where at = Where.lenient();
        assertThat(FORM.read(Tree.of("title", "x", "wood", "oak", "legs", List.of(leg("a", 1)), "future", 1.0), at)).isNotNull();
        assertThat(at.faults()).isEmpty();
    }

    @Test
    void aFieldTwiceIsRefused() {
        assertThatThrownBy(() -> new Form<String>("Twice", "") {
            {
                field("a", text(1), s -> s);
                field("a", text(1), s -> s);
            }

            @Override
            protected String make(Filled f) {
                return "";
            }
        }).hasMessage("Twice has the field “a” twice");
    }

    @Test
    void itsDescriptionHoldsEveryFieldAndWhatIsHiddenOnlyWhereItIsStored() {
        Schemas stored = Schemas.ofStored();
        FORM.schema(stored);
        Map<String, Object> stool = Tree.map(stored.definitions(), "Stool");
        assertThat(Tree.map(stool, "properties")).containsKeys("title", "secret").doesNotContainKey("legCount");
        assertThat(Tree.texts(stool, "required")).containsExactly("title", "wood", "legs");
        assertThat(stored.definitions()).containsKey("Leg");
        Schemas shown = Schemas.ofShown();
        FORM.schema(shown);
        assertThat(Tree.map(Tree.map(shown.definitions(), "Stool"), "properties")).containsKey("legCount").doesNotContainKey("secret");
    }

    /** Whatever stands in place of anything, it is told and nothing is thrown. */
    @Test
    void nothingOddIsThrownThrough() {
        Object[] odd = {null, 7, "x", true, List.of(), List.of(List.of()), Map.of(), Map.of(1, 2), Double.NaN, "\ud800", 1e308, -1L};
        RandomSource chance = new RandomSource(3);
        for (int i = 0; i < 5000; i++) {
            Map<Object, Object> tree = new LinkedHashMap<>();
            for (String field : List.of("title", "seats", "wood", "legs", "prices", "secret", "note", "x")) {
                tree.put(field, odd[chance.below(odd.length)]);
            }
            if (chance.unit() < 0.5) {
                List<Object> legs = new ArrayList<>();
                for (int k = chance.below(5); k > 0; k--) {
                    Map<Object, Object> leg = new LinkedHashMap<>();
                    leg.put("name", odd[chance.below(odd.length)]);
                    leg.put("length", odd[chance.below(odd.length)]);
                    legs.add(leg);
                }
                tree.put("legs", legs);
            }
            Where at = Where.strict();
            Stool read = FORM.read(chance.unit() < 0.02 ? odd[chance.below(odd.length)] : tree, at);
            assertThat(read == null).as("%s %s", tree, at.faults()).isEqualTo(at.count() > 0);
        }
    }
}
