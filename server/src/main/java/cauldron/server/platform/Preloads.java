package cauldron.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Says with the entry page of a lab which scripts and letters the lab's page needs, so that the browser fetches them
 * beside the entry script and not after it. On slow devices the entry script would spend a tenth of the waiting time on
 * asking for them; letters that come after the page is drawn have it laid out a second time. Which they are stands in
 * the list that the building of the pages leaves ({@code manifest.json}).
 */
@Component
class Preloads extends OncePerRequestFilter {

    private static final String LAB = "/work/";
    private static final String PAGE = "src/sheet/WorkPage.tsx";
    /** Those of rarer languages are fetched where a word needs them. */
    private static final String LETTERS = ".*-latin-wght-.*\\.woff2";
    private final String links;

    Preloads() throws IOException {
        try (InputStream in = new ClassPathResource("META-INF/resources/manifest.json").getInputStream()) {
            links = links(JsonMapper.shared().readTree(in), PAGE);
        }
        if (links.isEmpty()) {
            throw new IllegalStateException("manifest.json of the pages doesn't know " + PAGE);
        }
    }

    /** A header's value: the scripts of a page and all that they import, each once, and the letters they are set in. */
    static String links(JsonNode manifest, String page) {
        Set<String> files = new LinkedHashSet<>();
        Set<String> letters = new LinkedHashSet<>();
        gather(manifest, page, files, letters);
        return Stream.concat(files.stream().map(f -> "</" + f + ">; rel=modulepreload"),
                letters.stream().map(f -> "</" + f + ">; rel=preload; as=font; crossorigin"))
                .collect(Collectors.joining(", "));
    }

    private static void gather(JsonNode manifest, String name, Set<String> files, Set<String> letters) {
        JsonNode chunk = manifest.path(name);
        String file = chunk.path("file").asString("");
        if (!file.isEmpty() && files.add(file)) {
            chunk.path("assets").forEach(a -> {
                if (a.asString().matches(LETTERS)) {
                    letters.add(a.asString());
                }
            });
            chunk.path("imports").forEach(i -> gather(manifest, i.asString(), files, letters));
        }
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith(LAB);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader(HttpHeaders.LINK, links);
        chain.doFilter(request, response);
    }
}
