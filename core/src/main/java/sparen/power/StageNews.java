package sparen.power;

import java.util.ArrayList;
import java.util.List;
import sparen.program.ChargeDetails;
import sparen.program.ChargeStage;
import sparen.result.Change;
import sparen.result.Fact;

/** How a charger's move to a stage is told. */
final class StageNews {
    private StageNews() {}

    /**
     * The facts of a move.
     *
     * @param stage it has moved to
     * @param leftBy what ended the stage before
     * @param set the voltage it regulates to now (V)
     */
    static List<Fact> of(ChargeStage stage, Change leftBy, double set, ChargeDetails details) {
        return switch (stage) {
            case BULK -> List.of(Fact.of(leftBy), Fact.of(Change.BULK_BEGAN, set));
            case ABSORPTION -> List.of(Fact.of(Change.ABSORPTION_BEGAN, set));
            case FLOAT -> List.of(Fact.of(leftBy), Fact.of(Change.FLOAT_BEGAN, set));
            case EQUALIZATION ->
                equalization(set, details.equalization().orElseThrow().volts());
            case OFF -> List.of(Fact.of(Change.CHARGING_ENDED));
        };
    }

    private static List<Fact> equalization(double set, double wanted) {
        List<Fact> news = new ArrayList<>(List.of(Fact.of(Change.EQUALIZATION_BEGAN, set)));
        if (set < wanted) {
            news.add(Fact.of(Change.EQUALIZATION_HELD_DOWN, wanted, set));
        }
        return news;
    }
}
