package sparen.e2e;

import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Colours of both grounds, by the relative luminance of WCAG 2.2 (W3C): fills are told apart by their lightness alone. */
public class GroundsTest {
    private static final Pattern TOKEN = Pattern.compile("--([\\w-]+): (#[0-9a-f]{6});");
    private static final double APART = 1.5;
    private static final double SEEN = 3;

    /** Fills that lie on each other on the tape, or beside each other in the picture of a day's energy. */
    private static final List<List<String>> ADJACENT =
            List.of(List.of("load", "diverted"), List.of("diverted", "battery"), List.of("sun", "ac"));

    @DataProvider
    public Object[][] grounds() {
        return new Object[][] {{":root {"}, {".dark {"}};
    }

    @Test(dataProvider = "grounds")
    public void fillsDifferInLightness(String ground) throws IOException {
        Map<String, String> tokens = tokens(ground);
        for (List<String> two : ADJACENT) {
            double contrast = contrast(tokens.get(two.get(0)), tokens.get(two.get(1)));
            assertTrue(contrast >= APART, two + " on " + ground + " " + contrast);
        }
        for (String fill : List.of("sun", "ac", "load", "diverted", "battery")) {
            double contrast = contrast(tokens.get(fill), tokens.get("paper"));
            assertTrue(contrast >= SEEN, fill + " on " + ground + " " + contrast);
        }
    }

    private static Map<String, String> tokens(String ground) throws IOException {
        String css = Files.readString(Path.of("../web/src/app.css"));
        int from = css.indexOf(ground);
        Map<String, String> tokens = new HashMap<>();
        TOKEN.matcher(css.substring(from, css.indexOf('}', from)))
                .results()
                .forEach((MatchResult one) -> tokens.put(one.group(1), one.group(2)));
        return tokens;
    }

    private static double contrast(String one, String other) {
        double first = luminance(one) + 0.05;
        double second = luminance(other) + 0.05;
        return Math.max(first, second) / Math.min(first, second);
    }

    private static double luminance(String colour) {
        double[] weights = {0.2126, 0.7152, 0.0722};
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            double share = Integer.parseInt(colour.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
            sum += weights[i] * (share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4));
        }
        return sum;
    }
}
