package cauldron.server.print;

import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;

/** Prints a page of HTML as a PDF with its fonts in it, readable aloud (PDF/UA). Nothing is fetched from anywhere. */
public final class PdfPrinter {

    private static final String HOUSE = "House";
    private static final String SIGNS = "Signs";

    private PdfPrinter() {
    }

    public static byte[] print(Document page) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.usePdfUaAccessibility(true);
        builder.useExternalResourceAccessControl((uri, type) -> isPicture(uri),
                ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
        builder.useExternalResourceAccessControl((uri, type) -> isPicture(uri),
                ExternalResourceControlPriority.RUN_AFTER_RESOLVING_URI);
        font(builder, "400Regular/AtkinsonHyperlegibleNext_400Regular.ttf", HOUSE, 400, FontStyle.NORMAL);
        font(builder, "400Regular_Italic/AtkinsonHyperlegibleNext_400Regular_Italic.ttf", HOUSE, 400, FontStyle.ITALIC);
        font(builder, "700Bold/AtkinsonHyperlegibleNext_700Bold.ttf", HOUSE, 700, FontStyle.NORMAL);
        font(builder, "DejaVuSans.ttf", SIGNS, 400, FontStyle.NORMAL);
        font(builder, "DejaVuSans-Bold.ttf", SIGNS, 700, FontStyle.NORMAL);
        builder.withW3cDocument(new W3CDom().namespaceAware(false).fromJsoup(page), null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static boolean isPicture(String uri) {
        return uri != null && (uri.startsWith("data:image/png;") || uri.startsWith("data:image/jpeg;"));
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight, FontStyle style) {
        FSSupplier<InputStream> source = () -> PdfPrinter.class.getResourceAsStream("/fonts/" + file);
        builder.useFont(source, family, weight, style, true);
    }
}
