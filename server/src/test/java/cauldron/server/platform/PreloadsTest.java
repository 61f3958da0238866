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
    void lettersOfEveryDayAreNamedAndThoseOfRarerLanguagesAndPicturesNot() {
        assertThat(links("""
                {"page": {"file": "assets/p.js", "imports": ["index.html"]}, "index.html": {"file": "assets/i.js",
                 "assets": ["assets/next-latin-wght-normal-1.woff2", "assets/next-latin-ext-wght-normal-2.woff2",
                            "assets/moon.svg"]}}""")).isEqualTo("</assets/p.js>; rel=modulepreload, "
                + "</assets/i.js>; rel=modulepreload, "
                + "</assets/next-latin-wght-normal-1.woff2>; rel=preload; as=font; crossorigin");
    }

    @Test
    void aListWithoutThePageNamesNothing() {
        assertThat(links("{}")).isEmpty();
        assertThat(links("[]")).isEmpty();
    }
}
