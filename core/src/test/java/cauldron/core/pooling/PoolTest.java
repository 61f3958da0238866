package cauldron.core.pooling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import cauldron.core.Tree;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Many students' tables in one graph. */
class PoolTest {

    private static final List<Map<String, Object>> LAB = List.of(column("d", "d", "", "label"), column("L", "L", "cm",
            "measured"),
            column("t", "t", "s", "measured"));
    private static final Pool.Asked ASKED = new Pool.Asked("L", "(t/20)^2", "proportional");

    private static Map<String, Object> column(String id, String symbol, String unit, String kind) {
        return Tree.of("id", id, "name", id, "symbol", symbol, "unit", unit, "kind", kind);
    }

    /** Times of twenty swings where gravity is g, for lengths in cm. */
    private static Map<String, Object> table(double g, double... lengths) {
        List<Map<String, Object>> rows = new ArrayList<>();
        for (double l : lengths) {
            rows.add(Tree.of("id", "r" + rows.size(), "cells", Tree.of("L", String.valueOf(l), "t",
                    String.valueOf(20 * 2 * Math.PI * Math.sqrt(l / 100 / g)))));
        }
        return Tree.of("columns", LAB, "rows", rows);
    }

    private static Pool.Source source(String who, Map<String, Object> tree) {
        return new Pool.Source(who, tree, Map.of());
    }

    @Test
    void everyStudentsConstantAndTheSpreadOfAll() {
        Pool pool = Pool.of(ASKED, LAB, List.of(source("a", table(9.8, 40, 60, 90)), source("b", table(9.9, 40, 60)),
                source("c", table(9.7, 50, 70))));
        // T²/L = 4π²/g, here for centimetres.
        double[] k = {4 * Math.PI * Math.PI / 980, 4 * Math.PI * Math.PI / 990, 4 * Math.PI * Math.PI / 970};
        for (int i = 0; i < 3; i++) {
            assertThat(pool.series().get(i).constants()[0]).isCloseTo(k[i], within(1e-9));
        }
        assertThat(pool.told(pool.series().get(0))).containsExactly("0.04028 s²/cm");
        Constant gradient = pool.constants().get(0);
        assertThat(gradient.name()).isEqualTo("k");
        assertThat(gradient.unit()).isEqualTo("s²/cm");
        Constant.Spread spread = gradient.spreads().get(0);
        assertThat(spread.count()).isEqualTo(3);
        assertThat(spread.median()).isCloseTo(k[0], within(1e-9));
        assertThat(spread.mean()).isEqualTo("0.04029");
        // By hand: standard deviation of the three, and a root of three less for the mean.
        assertThat(spread.sd()).isEqualTo("0.00041");
        assertThat(spread.text()).isEqualTo("0.0403 ± 0.0002");
        assertThat(pool.whole()).containsEntry("points", 7.0);
        assertThat(pool.curve()[0][0]).isEqualTo(40);
        assertThat(pool.curve()[1][59]).isCloseTo(90 * Tree.number(Tree.maps(pool.whole(), "parameters").get(0),
                "value"),
                within(1e-9));
    }

    @Test
    void otherUnitsAndSymbolsOfAStudentsOwnComeToTheSame() {
        Map<String, Object> own = table(9.8, 40, 60);
        own.put("columns", List.of(LAB.get(0), column("L", "length", "mm", "measured"), LAB.get(2)));
        Tree.maps(own, "rows").forEach(r -> Tree.map(r, "cells").compute("L", (c,
                v) -> Double.parseDouble(v.toString()) * 10
                + ""));
        Pool pool = Pool.of(ASKED, LAB, List.of(source("a", table(9.8, 40, 60)), source("b", own)));
        assertThat(pool.series().get(1).x()).containsExactly(40, 60);
        assertThat(pool.series().get(1).y()).containsExactly(pool.series().get(0).y(), within(1e-9));
        assertThat(pool.along()).isEqualTo(new Pool.Axis("L", "cm"));
        assertThat(pool.up().unit()).isEqualTo("s²");
    }

    @Test
    void groupsAreFittedByThemselves() {
        Map<String, Object> both = table(9.8, 40, 60);
        Map<String, Object> other = table(1.62, 40, 60);
        List<Map<String, Object>> rows = new ArrayList<>(Tree.maps(both, "rows"));
        Map<String, String> groups = new LinkedHashMap<>(Map.of("r0", "Earth", "r1", "Earth"));
        Tree.maps(other, "rows").forEach(r -> {
            groups.put("m" + r.get("id"), "Moon");
            r.put("id", "m" + r.get("id"));
            rows.add(r);
        });
        both.put("rows", rows);
        Pool pool = Pool.of(ASKED, LAB, List.of(new Pool.Source("a", both, groups), new Pool.Source("b", table(9.8, 40,
                60),
                groups)));
        assertThat(pool.series()).extracting(Pool.Series::group).containsExactly("Earth", "Moon", "Earth");
        assertThat(pool.constants().get(0).spreads()).extracting(Constant.Spread::group).containsExactly("", "Earth",
                "Moon");
        assertThat(pool.constants().get(0).spreads().get(1).count()).isEqualTo(2);
        assertThat(pool.series().get(1).constants()[0] / pool.series().get(0).constants()[0]).isCloseTo(9.8 / 1.62,
                within(1e-6));
    }

    @Test
    void whatIsLeftOutOddOrTooLittleHarmsNobody() {
        Map<String, Object> out = table(9.8, 40, 60, 90);
        Tree.maps(out, "rows").get(2).put("out", "the cord slipped");
        Map<String, Object> odd = table(9.8, 40, 60);
        Tree.map(Tree.maps(odd, "rows").get(0), "cells").put("L", "about forty");
        Map<String, Object> other = table(9.8, 40, 60);
        other.put("columns", List.of(LAB.get(0), column("L", "L", "kg", "measured"), LAB.get(2)));
        Map<String, Object> none = Tree.of("columns", List.of(), "rows", List.of());
        Pool pool = Pool.of(new Pool.Asked("L", "t", "line"), LAB, List.of(source("out", out), source("odd", odd),
                source("other", other), source("none", none)));
        assertThat(pool.series()).extracting(Pool.Series::who).containsExactly("out", "odd");
        assertThat(pool.series().get(0).x()).containsExactly(40, 60);
        assertThat(pool.series().get(1).trouble()).as("one point").isNotEmpty();
        assertThat(pool.constants().get(0).spreads().get(0).count()).isEqualTo(1);
        assertThat(Pool.of(new Pool.Asked("L", "t", ""), LAB, List.of(source("out", out))).constants()).isEmpty();
        assertThat(Pool.of(ASKED, LAB, List.of()).whole()).containsKey("trouble");
    }

    @Test
    void aFormulaThatCantBeWorkedOutNamesItsAxis() {
        assertThatThrownBy(() -> Pool.of(new Pool.Asked("L", "t/u", "line"), LAB, List.of()))
                .isInstanceOfSatisfying(PoolException.class, e -> assertThat(e.axis()).isEqualTo("up"));
        assertThatThrownBy(() -> Pool.of(new Pool.Asked("", "t", "line"), LAB, List.of()))
                .isInstanceOfSatisfying(PoolException.class, e -> assertThat(e.axis()).isEqualTo("along"));
    }
}
