package cauldron.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.web.servlet.resource.EncodedResourceResolver;
import org.springframework.web.servlet.resource.ResourceResolverChain;

/**
 * Sends a file as it was packed when the pages were built. Of two packings that a browser can read the smaller one goes
 * out: browsers name gzip first by habit, and left to itself the framework would take them at their word.
 */
class PackedFiles extends EncodedResourceResolver {

    private static final Pattern BROTLI = Pattern.compile("(?i)(^|[\\s,])br($|[\\s,;])");

    @Override
    protected Resource resolveResourceInternal(HttpServletRequest request, String path,
            List<? extends Resource> locations, ResourceResolverChain chain) {
        String read = request == null ? null : request.getHeader(HttpHeaders.ACCEPT_ENCODING);
        return super.resolveResourceInternal(read != null && BROTLI.matcher(read).find() ? brotliOnly(request) : request,
                path, locations, chain);
    }

    private static HttpServletRequest brotliOnly(HttpServletRequest request) {
        return new HttpServletRequestWrapper(request) {
            @Override
            public String getHeader(String name) {
                return HttpHeaders.ACCEPT_ENCODING.equalsIgnoreCase(name) ? "br" : super.getHeader(name);
            }
        };
    }
}
