package cauldron.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bounds what is sent before anything reads it: by what the request says of its length, and by counting where it says
 * nothing. Comes before everything else, sessions and security too.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimits extends OncePerRequestFilter {

    /** More was sent than may be. */
    static final class TooLarge extends IOException {

        private static final long serialVersionUID = 1L;
        private final int most;

        TooLarge(int most) {
            super("more than " + most + " bytes");
            this.most = most;
        }

        int most() {
            return most;
        }
    }

    private static final int KILO = 1000;
    private static final int FROM_ANYONE = 16 * KILO;
    private static final int ENTRIES = 1000 * KILO;
    private static final int FILE = 5000 * KILO;
    private static final int USUAL = 256 * KILO;
    private static final Set<String> FILES = Set.of("/api/pictures", "/api/drafts/file");
    private static final Set<String> ANONYMOUS = Set.of("/api/session", "/api/join", "/api/me", "/api/enter",
            "/api/enter/look");

    static int limit(String path) {
        if (ANONYMOUS.contains(path) || !path.startsWith("/api/")) {
            return FROM_ANYONE;
        }
        if (path.startsWith("/api/works/") && path.endsWith("/entries")) {
            return ENTRIES;
        }
        return path.startsWith("/api/spreadsheets") || path.endsWith("/report") || FILES.contains(path) ? FILE : USUAL;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int most = limit(request.getRequestURI());
        if (request.getContentLengthLong() > most) {
            refuse(response, most);
            return;
        }
        try {
            chain.doFilter(request.getContentLengthLong() < 0 ? new Counted(request, most) : request, response);
        } catch (IOException | ServletException | RuntimeException e) {
            TooLarge large = of(e);
            if (large == null || response.isCommitted()) {
                throw e;
            }
            refuse(response, large.most());
        }
    }

    /** The breach of the limit that led to a failure, or null. */
    static TooLarge of(Throwable e) {
        for (Throwable at = e; at != null; at = at.getCause()) {
            if (at instanceof TooLarge large) {
                return large;
            }
        }
        return null;
    }

    static String words(int most) {
        return "This is too large: at most " + (most < 1000 * KILO ? most / KILO + " kB" : most / KILO / KILO + " MB")
                + " can be sent here.";
    }

    private static void refuse(HttpServletResponse response, int most) throws IOException {
        response.setStatus(HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE);
        // What is still on its way is not waited for.
        response.setHeader("Connection", "close");
        problem(response, 413, "too-large", "Too large", words(most));
    }

    /** Writes a problem where no controller can. */
    static void problem(HttpServletResponse response, int status, String type, String title, String detail)
            throws IOException {
        response.setStatus(status);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write("{\"type\":\"urn:cauldron:problem:" + type + "\",\"title\":\"" + title + "\",\"status\":"
                + status + ",\"detail\":\"" + detail + "\"}");
    }

    /** A request that doesn't say how long its body is. */
    private static final class Counted extends HttpServletRequestWrapper {
        private final int most;
        private ServletInputStream counted;

        Counted(HttpServletRequest request, int most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (counted == null) {
                counted = new CountedStream(super.getInputStream(), most);
            }
            return counted;
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final int most;
        private long read;

        CountedStream(ServletInputStream in, int most) {
            this.in = in;
            this.most = most;
        }

        private int count(int n) throws TooLarge {
            read += Math.max(0, n);
            if (read > most) {
                throw new TooLarge(most);
            }
            return n;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] buffer, int from, int length) throws IOException {
            return count(in.read(buffer, from, length));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
