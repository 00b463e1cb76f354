package sparen.history;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import sparen.fit.Estimate;
import sparen.fit.Estimate.Quantity;
import sparen.program.AcProgram;
import sparen.program.AcProgram.AcWindow;
import sparen.program.Output;
import sparen.program.Plan;

/**
 * What to do about what was recorded: three kinds and no more.
 *
 * @param kind of advice
 * @param says in words, with the numbers it comes from
 * @param path of the number to change, as in origins; absent where there is none to
 * @param value it should be, in the unit of that number
 */
public record Advice(Kind kind, String says, Optional<String> path, Optional<Double> value) {
    /** The three kinds. */
    public enum Kind {
        /** A floor may be lower, or must be higher. */
        FLOOR,
        /** The bank holds another charge than the plan has. */
        CAPACITY,
        /** A contact wears. */
        CONTACT
    }

    private static final double WORTH_IT = 0.03;
    private static final double CAPACITY_OFF = 0.05;
    private static final double SOON_YEARS = 10;

    /** What a history and a fit say. */
    public static List<Advice> of(Plan plan, History history, List<Estimate> fitted) {
        List<Advice> all = new ArrayList<>();
        history.use().flatMap(use -> floor(plan, use)).ifPresent(all::add);
        fitted.stream()
                .filter(one ->
                        one.quantity() == Quantity.CAPACITY && one.cannotTell().isEmpty())
                .filter(one -> Math.abs(one.value() / one.planned() - 1) > CAPACITY_OFF
                        && (one.planned() < one.lowest() || one.planned() > one.highest()))
                .findFirst()
                .map(one -> new Advice(
                        Kind.CAPACITY,
                        "The bank holds " + Math.round(one.value()) + " Ah (" + Math.round(one.lowest()) + " to "
                                + Math.round(one.highest()) + "), the plan has " + Math.round(one.planned()) + " Ah.",
                        Optional.of("site/battery/ageing"),
                        Optional.of(one.value())))
                .ifPresent(all::add);
        history.contacts().stream()
                .filter(one ->
                        one.yearsLeft().filter(years -> years < SOON_YEARS).isPresent())
                .forEach(one -> all.add(new Advice(
                        Kind.CONTACT,
                        nameOf(plan, one.output()) + " closes " + Math.round(one.aDay()) + " times a day: at "
                                + (int) ContactWear.LIFE_CLOSINGS + " closings it is worn out in "
                                + Math.round(one.yearsLeft().orElseThrow() * 10) / 10.0
                                + " years. A longer delay or a wider distance between its levels spares it.",
                        Optional.of("program/outputs/" + one.output()),
                        Optional.empty())));
        return List.copyOf(all);
    }

    private static String nameOf(Plan plan, String output) {
        return plan.program().outputs().stream()
                .filter(one -> one.id().equals(output))
                .map(Output::name)
                .findFirst()
                .orElse(output);
    }

    /** Of the windows that discharge the battery down to a floor. */
    private static Optional<Advice> floor(Plan plan, NightsUse use) {
        List<AcWindow> windows = plan.program().ac().map(AcProgram::windows).orElse(List.of());
        for (int i = 0; i < windows.size(); i++) {
            AcWindow window = windows.get(i);
            double floor = use.floor().orElse(window.stateOfCharge());
            if (window.kind() == AcWindow.Kind.DISCHARGE && Math.abs(window.stateOfCharge() - floor) > WORTH_IT) {
                return Optional.of(new Advice(
                        Kind.FLOOR,
                        percent(floor) + " instead of " + percent(window.stateOfCharge()) + " as the floor: "
                                + percent(NightsUse.SHARE) + " of " + use.nights() + " nights used at most "
                                + percent(use.used()) + ", and " + percent(use.reserve()) + " stay in reserve.",
                        Optional.of("program/ac/windows/" + i + "/stateOfCharge"),
                        Optional.of(Math.round(floor * 100) / 100.0)));
            }
        }
        return Optional.empty();
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
