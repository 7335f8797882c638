package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** What every view is held to: that it is accessible, in both themes, hit by a wet thumb, and no wider than the screen. */
final class Sight {
    private static final String AXE = read(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js"));

    /** Style sheets are read again only for the one rule that needs them, since that takes as long as all others. */
    private static final String RUN_AXE = """
        async (only) => (await axe.run(document, { runOnly: only, preload: only[0] === 'css-orientation-lock', resultTypes: ['violations'] }))
          .violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join('; '))""";

    /** Colours that change slowly are not to be read half way. */
    private static final String STILL = """
        () => {
          const still = new CSSStyleSheet()
          still.replaceSync('* { transition: none !important; animation: none !important }')
          document.adoptedStyleSheets = [...document.adoptedStyleSheets, still]
        }""";

    private static final List<String> RULES = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");
    private static final List<String> COLOURS = List.of("color-contrast");
    private static final List<String> TURNING = List.of("css-orientation-lock");

    private static final String TOO_SMALL = """
        () => {
          const box = (control) => control.closest('.el-checkbox, .el-radio-button, .el-radio, .el-input__wrapper, '
              + '.el-select__wrapper, .el-textarea, .tile, label') ?? control
          const seen = new Set()
          const tooSmall = (shown) => {
            if (seen.has(shown)) return false
            seen.add(shown)
            const { width, height, bottom } = shown.getBoundingClientRect()
            const style = getComputedStyle(shown)
            if (width === 0 || height === 0 || bottom < 0 || style.visibility === 'hidden') return false
            if (shown.matches('.skip, [aria-hidden=true], [role=region]')) return false
            if (shown.tagName === 'A' && shown.closest('p') && style.display === 'inline') return false
            return width < 43.5 || height < 43.5
          }
          const controls = 'a, button, input, textarea, summary, [role=button], [role=menuitem], [tabindex="0"]'
          return [...document.querySelectorAll(controls)]
            .map((control) => (['INPUT', 'TEXTAREA'].includes(control.tagName) ? box(control) : control))
            .filter(tooSmall)
            .map((shown) => `${shown.tagName} ${shown.className} ${shown.textContent.trim()}`)
        }""";

    private Sight() {}

    /** Checks the view as it stands; by lamp light only its colours, since nothing else changes. */
    static void isAccessible(Page page) {
        axeIsContent(page, RULES, "by day");
        page.evaluate("document.documentElement.classList.add('lamp')");
        axeIsContent(page, COLOURS, "by lamp light");
        page.evaluate("document.documentElement.classList.remove('lamp')");
    }

    private static void axeIsContent(Page page, List<String> rules, String when) {
        bringAxe(page);
        assertThat((List<?>) page.evaluate(RUN_AXE, rules))
                .as("%s %s", page.url(), when)
                .isEmpty();
    }

    private static void bringAxe(Page page) {
        if (page.evaluate("typeof axe").equals("undefined")) {
            page.evaluate(AXE);
            page.evaluate(STILL);
        }
    }

    /** Checks that a phone may be held either way. */
    static void turns(Page page) {
        axeIsContent(page, TURNING, "turned");
    }

    /**
     * Checks, at the width of a phone, that a wet thumb hits whatever can be hit: 44 by 44 px, by the box that answers to it.
     * Links that stand in running text are as large as their line.
     */
    static void isForThumbs(Page page) {
        assertThat((List<?>) page.evaluate(TOO_SMALL)).as(page.url()).isEmpty();
    }

    /** Checks that nothing is wider than the screen. */
    static void fitsTheWidth(Page page) {
        assertThat(page.evaluate("document.documentElement.scrollWidth <= window.innerWidth"))
                .as("%s fits the width", page.url())
                .isEqualTo(true);
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
