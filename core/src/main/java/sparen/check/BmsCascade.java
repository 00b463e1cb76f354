package sparen.check;

import java.util.List;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.site.Bms;
import sparen.site.ParallelBattery;

/** When one battery opens the others have to carry all of it; if they cannot, they open in turn. */
final class BmsCascade implements Check {
    @Override
    public Stream<Finding> look(PlanFacts plan) {
        List<ParallelBattery> batteries = plan.bank().batteries();
        double borne = 0;
        double largest = 0;
        for (ParallelBattery battery : batteries) {
            double one = battery.bms().map(Bms::dischargeAmperes).orElse(Double.POSITIVE_INFINITY);
            borne += one;
            largest = Math.max(largest, one);
        }
        double amperes = plan.worstAmperesOfAll(plan.bank().lowestVolts());
        double left = borne - largest;
        return batteries.size() < 2 || borne == Double.POSITIVE_INFINITY || amperes <= left
                ? Stream.empty()
                : Stream.of(finding(
                                Hazard.LOSS_OF_CONTROL,
                                amperes > borne ? Severity.DANGER : Severity.CAUTION,
                                "",
                                "If one battery opens, the others cannot carry all loads and open in turn.")
                        .about("site/battery/batteries")
                        .number("all loads", amperes, "A")
                        .number("the others bear", left, "A"));
    }
}
