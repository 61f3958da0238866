package cauldron.server.print;

/** How paper looks: ink on white, hairlines, one accent. */
public final class PaperStyle {

    /** What it is printed on. */
    public enum Size { A4, LETTER }


    private static final String CSS = """
            @page { size: SIZE; margin: 20mm 18mm 22mm; @bottom-left { content: element(foot); }
              @bottom-right { content: counter(page) ' / ' counter(pages); font: 8.5pt House, Signs; color: #5b6470; } }
            .foot { position: running(foot); font-size: 8.5pt; color: #5b6470; }
            body { font-family: House, Signs; font-size: 10.5pt; line-height: 1.4; color: #1B2430; }
            h1 { font-size: 20pt; line-height: 1.15; margin: 0 0 4pt; -fs-page-break-min-height: 3cm; }
            h2 { font-size: 14pt; margin: 18pt 0 6pt; padding-top: 6pt; border-top: 0.7pt solid #DDD7CC; color: #B2542C; page-break-after: avoid; }
            h3 { font-size: 10.5pt; margin: 12pt 0 4pt; page-break-after: avoid; }
            p { margin: 0 0 5pt; orphans: 2; widows: 2; }
            .by { font-size: 12pt; margin: 0; }
            .soft { color: #5b6470; font-weight: normal; font-size: 9pt; }
            dt { font-weight: bold; }
            dd { margin: 0 0 4pt 12pt; }
            ul, ol { margin: 0 0 5pt; padding-left: 16pt; }
            .prediction { border-left: 2pt solid #7A3E65; padding-left: 10pt; margin: 6pt 0; }
            .choice { margin: 0 0 2pt; }
            blockquote { margin: 2pt 0 6pt; padding: 4pt 9pt; border-left: 2pt solid #DDD7CC; background: #FAF8F4; }
            blockquote p { margin: 0 0 3pt; }
            .mark { border-left: 2pt solid #2C7A74; padding-left: 9pt; }
            table { border-collapse: collapse; margin: 2pt 0 8pt; -fs-table-paginate: paginate; }
            th { border-bottom: 1.2pt solid #1B2430; padding: 2pt 7pt; text-align: left; vertical-align: bottom; font-size: 9.5pt; }
            td { border-bottom: 0.5pt solid #DDD7CC; padding: 2pt 7pt; font-size: 9.5pt; }
            tr { page-break-inside: avoid; }
            td.number { text-align: right; }
            .figure { page-break-inside: avoid; margin: 6pt 0 10pt; }
            p img { max-width: 15cm; }
            .formula { font-style: italic; }
            .figure img { width: 15cm; }
            .prediction .figure img { width: 9cm; }
            .found { font-weight: bold; margin: 0 0 2pt; }
            .caption { font-style: italic; }
            .line { border-bottom: 0.6pt solid #8d95a0; height: 8mm; }
            .blank td { border: 0.6pt solid #8d95a0; height: 7.5mm; min-width: 16mm; }
            .blank th { border: 0.6pt solid #8d95a0; }
            .named { margin: 6pt 0 10pt; }
            .boxes { list-style-type: none; padding-left: 0; }
            .screen { border: 0.6pt dashed #8d95a0; padding: 4pt 9pt; margin: 4pt 0 8pt; }
            .key { border-left: 2pt solid #2C7A74; padding-left: 9pt; margin: 0 0 3pt; page-break-inside: avoid; }
            """;

    private PaperStyle() {
    }

    /** The style sheet for a size of paper. */
    public static String css(Size size) {
        return CSS.replace("SIZE", size == Size.A4 ? "A4" : "letter");
    }
}
