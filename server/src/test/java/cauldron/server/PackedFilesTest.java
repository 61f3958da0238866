package cauldron.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(ServerExtension.class)
class PackedFilesTest {

    private static HttpResponse<byte[]> script(String reads) throws IOException, InterruptedException {
        String page = new Visitor().get("/").body();
        String script = page.replaceAll("(?s).*src=\"(/assets/[^\"]+)\".*", "$1");
        HttpRequest.Builder asked = HttpRequest.newBuilder(URI.create(ServerExtension.address() + script));
        if (reads != null) {
            asked.header("Accept-Encoding", reads);
        }
        HttpResponse<byte[]> answer = HttpClient.newHttpClient().send(asked.build(), BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Cache-Control").orElse("")).contains("immutable");
        assertThat(answer.headers().firstValue("Content-Type").orElse("")).contains("javascript");
        return answer;
    }

    private static String packing(HttpResponse<?> answer) {
        return answer.headers().firstValue("Content-Encoding").orElse("none");
    }

    @Test
    void aScriptComesInTheSmallestPackingThatTheBrowserCanRead() throws IOException, InterruptedException {
        HttpResponse<byte[]> plain = script(null);
        assertThat(packing(plain)).isEqualTo("none");
        HttpResponse<byte[]> zipped = script("gzip, deflate");
        assertThat(packing(zipped)).isEqualTo("gzip");
        assertThat(new GZIPInputStream(new ByteArrayInputStream(zipped.body())).readAllBytes()).isEqualTo(plain.body());
        HttpResponse<byte[]> smallest = script("gzip, deflate, br, zstd");
        assertThat(packing(smallest)).isEqualTo("br");
        assertThat(smallest.body().length).isLessThan(zipped.body().length);
        // Whatever lies between may keep what it passes on, but not for those who can't read it.
        assertThat(smallest.headers().firstValue("Vary").orElse("")).contains("Accept-Encoding");
    }

    @Test
    void oddWishesGetWhatTheyCanRead() throws IOException, InterruptedException {
        assertThat(packing(script("brown, identity"))).isEqualTo("none");
        assertThat(packing(script("BR"))).isEqualTo("br");
        assertThat(packing(script("deflate"))).isEqualTo("none");
        assertThat(packing(script("gzip;q=0.5,br;q=0.9"))).isEqualTo("br");
    }
}
