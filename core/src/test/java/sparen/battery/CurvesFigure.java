package sparen.battery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import sparen.power.BusBalance;
import sparen.site.BatteryBank;
import sparen.site.Chemistry;
import sparen.site.SolarArray.ModuleString;
import sparen.sun.ArrayOutput;
import sparen.sun.ClearBeam;

/** Draws docs/figures/curves.svg: lines are the model, dots the published relations. Run its main from the project's folder. */
public final class CurvesFigure {
    private static final int WIDTH = 420;
    private static final int HEIGHT = 260;
    private final StringBuilder svg = new StringBuilder();
    private double left;
    private double top;
    private double fromX;
    private double toX;
    private double fromY;
    private double toY;

    private CurvesFigure() {}

    /** Writes the figure. */
    public static void main(String[] arguments) throws IOException {
        Path file = Path.of("docs/figures/curves.svg");
        Files.createDirectories(file.getParent());
        Files.writeString(file, new CurvesFigure().draw());
    }

    private String draw() {
        svg.append(
                        "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 960 1300\" font-family=\"sans-serif\" font-size=\"13\">")
                .append("<rect width=\"960\" height=\"1300\" fill=\"#f7f3ea\"/>");
        panel(0, 0, "Flooded: capacity over discharge current, Ah of C10 = 100 Ah", 0, 25, 40, 140);
        line(amperes -> capacity(amperes), 2, 22, "#1f6b4f");
        for (double amperes = 3; amperes <= 21; amperes += 2) {
            dot(amperes, LeadAcidCurvesTest.capacity(amperes, 25));
        }
        panel(1, 0, "Flooded: discharge at 5, 10, 20 A, V a cell over share taken", 0, 1, 1.5, 2.15);
        for (double amperes : new double[] {5, 10, 20}) {
            List<double[]> curve = discharge(amperes);
            double all = curve.get(curve.size() - 1)[0];
            path(curve, 1 / all, "#1f6b4f");
            for (double taken = 0.1; taken < 0.75; taken += 0.1) {
                dot(taken, LeadAcidCurvesTest.dischargeVolts(1 - taken, amperes, 25));
            }
        }
        panel(0, 1, "Flooded: charge at 5, 10, 20 A, V a cell; dots to gassing, then final", 0, 1, 2, 2.9);
        for (double amperes : new double[] {5, 10, 20}) {
            path(charge(amperes), 1, "#1f6b4f");
            for (double charge = 0.2; charge < 0.99; charge += 0.05) {
                double volts = LeadAcidCurvesTest.chargeVolts(charge, amperes, 25);
                boolean gasses = volts >= LeadAcidCurvesTest.gassingVolts(amperes, 25);
                dot(charge, gasses ? LeadAcidCurvesTest.finalVolts(amperes, 25) : volts);
            }
        }
        panel(1, 1, "A 36-cell panel: open-circuit V over log10 of light, W/m², at 5 °C (diode law)", -1, 3, 0, 26);
        ModuleString string = new ModuleString(22, 18, -0.003, 36);
        line(log -> ArrayOutput.openCircuitVolts(string, Math.pow(10, log), 5), -1, 3, "#b5730b");
        panel(0, 2, "Flooded: charge stored of charge put in, over charge at hand; dots at C/10", 0, 1, 0, 1.1);
        line(charge -> 1 - 0.025 / (1.025 - charge), 0, 0.999, "#1f6b4f");
        for (double charge = 0.1; charge < 1; charge += 0.1) {
            dot(charge, 1 - Math.exp(20.73 / (1 + 0.55) * (charge - 1)));
        }
        panel(0, 3, "Flooded: capacity over °C at 10 h, dots IEEE 485; above it at 100 h", -20, 40, 0.4, 1.2);
        for (double amperes : new double[] {10, 1.1}) {
            double warm = capacity(amperes, 25);
            line(celsius -> capacity(amperes, celsius) / warm, -20, 40, amperes > 2 ? "#1f6b4f" : "#b5730b");
        }
        double[][] factors = {{-3.9, 1.52}, {1.7, 1.35}, {4.4, 1.30}, {10, 1.19}, {15.6, 1.11}, {25, 1}, {35, 0.93}};
        for (double[] row : factors) {
            dot(row[0], 1 / row[1]);
        }
        panel(1, 3, "Clear sky: beam over the sun's altitude, W/m²; dots Meinel", 0, 50, 0, 1000);
        line(altitude -> beam(altitude), 0.5, 50, "#b5730b");
        for (double altitude = 2; altitude < 50; altitude += 4) {
            double air = 1 / (Math.sin(Math.toRadians(altitude)) + 0.50572 * Math.pow(altitude + 6.07995, -1.6364));
            dot(altitude, 1353 * Math.pow(0.7, Math.pow(air, 0.678)));
        }
        panel(1, 2, "Inverter of 3 kW, 20 W idle, 4 % + 3 %: AC to DC power over AC power, W", 0, 3000, 0, 1.1);
        line(watts -> watts / (20 + watts * 1.04 + 0.03 * watts * watts / 3000), 1, 3000, "#6d2f5f");
        return svg.append("</svg>\n").toString();
    }

    private void panel(int column, int row, String title, double x0, double x1, double y0, double y1) {
        left = 40 + column * 480;
        top = 40 + row * 320;
        fromX = x0;
        toX = x1;
        fromY = y0;
        toY = y1;
        svg.append(String.format(
                Locale.ROOT,
                "<text x=\"%.0f\" y=\"%.0f\" fill=\"#17211b\">%s</text><rect x=\"%.0f\" y=\"%.0f\" width=\"%d\" height=\"%d\" fill=\"none\" stroke=\"#857e6b\"/>",
                left,
                top - 10,
                title,
                left,
                top,
                WIDTH,
                HEIGHT));
        for (int i = 0; i <= 4; i++) {
            double x = x0 + (x1 - x0) * i / 4;
            double y = y0 + (y1 - y0) * i / 4;
            svg.append(String.format(
                    Locale.ROOT,
                    "<text x=\"%.0f\" y=\"%.0f\" text-anchor=\"middle\" fill=\"#47534b\">%.4s</text><text x=\"%.0f\" y=\"%.0f\" text-anchor=\"end\" fill=\"#47534b\">%.4s</text>",
                    x(x),
                    top + HEIGHT + 16,
                    x,
                    left - 4,
                    y(y) + 4,
                    y));
        }
    }

    private double x(double value) {
        return left + WIDTH * (value - fromX) / (toX - fromX);
    }

    private double y(double value) {
        return top + HEIGHT * (1 - (value - fromY) / (toY - fromY));
    }

    private void line(DoubleUnaryOperator curve, double from, double to, String colour) {
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i <= 80; i++) {
            double at = from + (to - from) * i / 80;
            points.add(new double[] {at, curve.applyAsDouble(at)});
        }
        path(points, 1, colour);
    }

    private void path(List<double[]> points, double scale, String colour) {
        svg.append("<polyline fill=\"none\" stroke-width=\"2\" stroke=\"")
                .append(colour)
                .append("\" points=\"");
        for (double[] point : points) {
            if (point[1] >= fromY && point[1] <= toY) {
                svg.append(String.format(Locale.ROOT, "%.1f,%.1f ", x(point[0] * scale), y(point[1])));
            }
        }
        svg.append("\"/>");
    }

    private void dot(double atX, double atY) {
        svg.append(String.format(
                Locale.ROOT, "<circle r=\"3.5\" cx=\"%.1f\" cy=\"%.1f\" fill=\"#6d2f5f\"/>", x(atX), y(atY)));
    }

    private static BatteryCircuit cell(double charge) {
        BatteryBank bank = new BatteryBank("cell", Chemistry.FLOODED, 1, 100, 10, 0.1, 10, charge, Optional.empty());
        return new BatteryCircuit(BatteryModel.of(bank), charge);
    }

    private static double capacity(double amperes) {
        return capacity(amperes, 25);
    }

    private static double capacity(double amperes, double celsius) {
        BatteryCircuit cell = cell(1);
        cell.setCelsius(celsius);
        List<double[]> curve = run(cell, -amperes, false);
        return curve.get(curve.size() - 1)[0];
    }

    /** The beam of a clear day at sea level, as a run's weather has it, by the sun's apparent altitude (°). */
    private static double beam(double altitude) {
        return ClearBeam.watts(altitude);
    }

    private static List<double[]> discharge(double amperes) {
        return run(cell(1), -amperes, false);
    }

    private static List<double[]> charge(double amperes) {
        return run(cell(0.1), amperes, true);
    }

    /** Steady current; points of charge taken (Ah) or state of charge, and voltage. */
    private static List<double[]> run(BatteryCircuit cell, double amperes, boolean byCharge) {
        BusBalance bus = new BusBalance(cell, 0, new double[] {0});
        List<double[]> points = new ArrayList<>();
        double step = Math.abs(amperes) < 2 ? 120 : 30;
        for (int i = 0; i < 8000; i++) {
            bus.setCurrent(0, amperes, 0);
            if (!bus.solve() || bus.batteryVolts()[0] < 1.2 || bus.batteryVolts()[0] > 2.95 || cell.isEmpty()) {
                break;
            }
            double at = byCharge ? cell.charge()[0] : Math.abs(amperes) * step * i / 3600;
            points.add(new double[] {at, bus.batteryVolts()[0]});
            bus.expand(step, 0);
            bus.advance(step);
        }
        return points;
    }
}
