package sparen.working;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import sparen.examined.PlanFacts;
import sparen.quantity.Standard;
import sparen.site.AcSource;
import sparen.site.Cable;
import sparen.site.ChargeController;
import sparen.site.Converter;
import sparen.site.Load;
import sparen.site.Site;
import sparen.site.SolarArray;

/**
 * What a conductor of the site carries at its worst, for drawing it as heavy as it is. A planning figure, at the nominal voltage of what
 * it hangs on; local codes decide what it has to bear.
 *
 * @param path of the part it belongs to, with ids as in origins; site/mainCable for the battery's
 * @param amperes the most it carries, start surges left aside (A), 0 or more
 * @param dropVolts what it drops then, where its cable is known (V), by IEC 60228 at 20 °C, see {@link Cable}
 */
public record Conductor(String path, double amperes, Optional<Double> dropVolts) {
    private static Conductor of(String path, double amperes) {
        return new Conductor(path, amperes, Optional.empty());
    }

    private static Conductor of(String path, double amperes, Cable cable) {
        double ohms = cable.loopOhms(Standard.ROOM_CELSIUS);
        return new Conductor(path, amperes, ohms > 0 ? Optional.of(amperes * ohms) : Optional.empty());
    }

    /** All conductors of a plan's site. */
    public static List<Conductor> of(PlanFacts plan) {
        Site site = plan.site();
        double bus = site.nominalVolts();
        double given =
                site.controllers().stream().mapToDouble(plan::limitAmperes).sum();
        double main = Math.max(plan.worstAmperesOfAll(bus), given);
        return Stream.of(
                        Stream.of(of("site/mainCable", main, site.mainCable())),
                        site.arrays().stream().map(array -> of("site/arrays/" + array.id(), amperes(array, bus))),
                        site.controllers().stream().map(controller -> of(plan, controller)),
                        site.converters().stream()
                                .map(one -> of("site/converters/" + one.id(), plan.worstAmperes(one.id(), bus))),
                        site.inverter().stream()
                                .map(one -> of("site/inverter", plan.inverterAmperes(one, bus), one.cable())),
                        site.acSources().stream().map(source -> of(site, source)),
                        site.loads().stream().map(load -> of(plan, load)))
                .flatMap(conductors -> conductors)
                .toList();
    }

    /** By what its string gives at standard test conditions; one without a string as if it lay on the battery. */
    private static double amperes(SolarArray array, double bus) {
        double volts =
                array.string().map(SolarArray.ModuleString::maximumPowerVolts).orElse(bus);
        return array.peakWatts() / volts;
    }

    private static Conductor of(PlanFacts plan, ChargeController controller) {
        return of("site/controllers/" + controller.id(), plan.limitAmperes(controller), controller.cable());
    }

    private static Conductor of(Site site, AcSource source) {
        return of(
                "site/acSources/" + source.id(),
                source.legAmperes(site.inverter().orElseThrow().acVolts()));
    }

    /** A load at the voltage of what feeds it. */
    private static Conductor of(PlanFacts plan, Load load) {
        String path = "site/loads/" + load.id();
        double amperes = plan.worstWatts(load.id()) / volts(plan.site(), load);
        return load.feed().isPresent() ? of(path, amperes) : of(path, amperes, load.cable());
    }

    private static double volts(Site site, Load load) {
        String feed = load.feed().orElse("");
        return site.converters().stream()
                .filter(one -> one.id().equals(feed))
                .map(Converter::outputVolts)
                .findAny()
                .or(() -> site.inverter().filter(one -> !feed.isEmpty()).map(one -> one.acVolts()))
                .orElse(site.nominalVolts());
    }
}
