package sparen.benchmark;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Bars of what a run costs, by what grows. */
final class GrowthFigure {
    private static final int LEFT = 96;
    private static final int BAR = 18;
    private static final int ROW = 24;
    private static final int WIDE = 640;
    /** Room for a bar's own number behind it. */
    private static final int NUMBER = 84;

    private final List<Bar> bars = new ArrayList<>();

    private record Bar(String group, String name, double milliseconds) {}

    void add(String group, String name, double milliseconds) {
        bars.add(new Bar(group, name, milliseconds));
    }

    void write(Path file) throws IOException {
        double most = bars.stream().mapToDouble(Bar::milliseconds).max().orElse(1);
        StringBuilder svg = new StringBuilder();
        int y = 8;
        String group = "";
        for (Bar bar : bars) {
            if (!bar.group().equals(group)) {
                y += ROW;
                svg.append(text(8, y, "700", "start", bar.group()));
                group = bar.group();
            }
            y += ROW;
            double wide = bar.milliseconds() / most * (WIDE - LEFT - NUMBER);
            svg.append(text(LEFT - 10, y, "400", "end", bar.name()))
                    .append(String.format(
                            Locale.ROOT,
                            "<rect x=\"%d\" y=\"%d\" width=\"%.1f\" height=\"%d\" fill=\"#1b5f46\"/>%n",
                            LEFT,
                            y - BAR + 4,
                            wide,
                            BAR))
                    .append(text(
                            LEFT + (int) wide + 8,
                            y,
                            "400",
                            "start",
                            String.format(Locale.ROOT, "%.0f ms", bar.milliseconds())));
        }
        Files.writeString(
                file,
                String.format(
                        Locale.ROOT,
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" font-family=\"sans-serif\" font-size=\"14\">%n"
                                + "<rect width=\"100%%\" height=\"100%%\" fill=\"#fdfbf5\"/>%n%s</svg>%n",
                        WIDE,
                        y + ROW,
                        svg));
    }

    private static String text(int x, int y, String weight, String anchor, String says) {
        return String.format(
                Locale.ROOT,
                "<text x=\"%d\" y=\"%d\" font-weight=\"%s\" text-anchor=\"%s\" fill=\"#17211b\">%s</text>%n",
                x,
                y,
                weight,
                anchor,
                says);
    }
}
