package sparen.simulation;

import java.util.List;
import sparen.site.AcSource;
import sparen.site.Converter;
import sparen.site.Load;
import sparen.site.Site;

/** The buses of a site by number: 0 the main one, then the converters' in the site's order, then AC, then each source of AC before it. */
final class Feeds {
    static final int MAIN = 0;

    private final List<String> converters;
    private final List<String> sources;

    Feeds(Site site) {
        converters = site.converters().stream().map(Converter::id).toList();
        sources = site.acSources().stream().map(AcSource::id).toList();
    }

    /** The number of AC behind the inverter. */
    int ac() {
        return 1 + converters.size();
    }

    /** The source of AC that a bus is, below 0 for another. */
    int source(int feed) {
        return feed - ac() - 1;
    }

    /** How many there are. */
    int count() {
        return ac() + 1 + sources.size();
    }

    /** The bus that a load hangs on. */
    int of(Load load) {
        return load.feed().map(this::of).orElse(MAIN);
    }

    /** The bus that a converter, the inverter or a source of AC feeds. */
    int of(String feeder) {
        int converter = converters.indexOf(feeder);
        int source = sources.indexOf(feeder);
        return converter >= 0 ? 1 + converter : source >= 0 ? ac() + 1 + source : ac();
    }
}
