package cauldron.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

class PreloadsTest {

    private static String links(String manifest) {
        return Preloads.links(JsonMapper.shared().readTree(manifest), "page");
    }

    @Test
    void allThatAPageImportsIsNamedOnceAlsoInACircleAndWhatItMayFetchLaterIsNot() {
        assertThat(links("""
                {"page": {"file": "assets/p.js", "imports": ["a", "b"], "dynamicImports": ["later"]},
                 "a": {"file": "assets/a.js", "imports": ["b"]}, "b": {"file": "assets/b.js", "imports": ["a"]},
                 "later": {"file": "assets/later.js"}}""")).isEqualTo(
                "</assets/p.js>; rel=modulepreload, </assets/a.js>; rel=modulepreload, </assets/b.js>; rel=modulepreload");
    }

    @Test
    void aListWithoutThePageNamesNothing() {
        assertThat(links("{}")).isEmpty();
        assertThat(links("[]")).isEmpty();
    }
}
