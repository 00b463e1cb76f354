package sparen.simulation;

import java.util.List;
import sparen.site.Converter;
import sparen.site.Load;
import sparen.site.Site;

/** The buses of a site by number: 0 the main one, then the converters' in the site's order, then AC. */
final class Feeds {
    static final int MAIN = 0;

    private final List<String> converters;

    Feeds(Site site) {
        converters = site.converters().stream().map(Converter::id).toList();
    }

    /** The number of AC. */
    int ac() {
        return 1 + converters.size();
    }

    /** How many there are. */
    int count() {
        return ac() + 1;
    }

    /** The bus that a load hangs on. */
    int of(Load load) {
        return load.feed().map(this::of).orElse(MAIN);
    }

    /** The bus that a converter or the inverter feeds. */
    int of(String feeder) {
        int converter = converters.indexOf(feeder);
        return converter < 0 ? ac() : 1 + converter;
    }
}
