package cauldron.server.reports;

/** How a report looks: ink on white, hairlines, one accent. */
final class ReportStyle {

    static final String CSS = """
            @page { size: A4; margin: 20mm 18mm 22mm; @bottom-left { content: element(foot); }
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
            .figure img { width: 15cm; }
            .prediction .figure img { width: 9cm; }
            .found { font-weight: bold; margin: 0 0 2pt; }
            .caption { font-style: italic; }
            """;

    private ReportStyle() {
    }
}
