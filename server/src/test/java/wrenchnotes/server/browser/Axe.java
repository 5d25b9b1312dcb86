package wrenchnotes.server.browser;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;

/** What axe-core finds serious or critical on a page: each rule that is broken, and where. */
final class Axe {

    /** By WCAG 2.2 A and AA. */
    private static final Map<String, Object> ALL =
            Map.of("type", "tag", "values", List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"));

    private static final Map<String, Object> CONTRAST =
            Map.of("type", "rule", "values", List.of("color-contrast", "link-in-text-block"));

    /** A page has a dozen colours, and axe reads one for each text and all that lies behind it: a quarter of its time if none is remembered. */
    private static final String REMEMBERS_COLOURS = """
            () => {
              const color = axe.commons.color.Color.prototype;
              const read = color.parseString;
              const known = new Map();
              color.parseString = function (words) {
                if (known.has(words)) {
                  [this.r, this.g, this.b, this.alpha] = known.get(words);
                } else {
                  read.call(this, words);
                  known.set(words, [this.r, this.g, this.b, this.alpha]);
                }
                return this;
              };
            }
            """;

    private static final String RUN = """
            async only => {
              const found = await axe.run(document, { runOnly: only, resultTypes: ['violations'], iframes: false });
              return found.violations
                .filter(rule => ['serious', 'critical'].includes(rule.impact))
                .map(rule => rule.help + ': ' + rule.nodes.map(node => node.html).join(' and '));
            }
            """;

    private Axe() {}

    static List<?> wrong(Page page) {
        return run(page, ALL);
    }

    /** What is wrong of all that another light can change. */
    static List<?> wrongInThisLight(Page page) {
        return run(page, CONTRAST);
    }

    private static List<?> run(Page page, Map<String, Object> only) {
        if (!(Boolean) page.evaluate("() => 'axe' in window")) {
            page.evaluate(AxeBuilder.getAxeScript());
            page.evaluate(REMEMBERS_COLOURS);
        }
        return (List<?>) page.evaluate(RUN, only);
    }
}
