package sparen.app.season;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import sparen.site.Location;
import sparen.sun.DayType;
import sparen.sun.Weather;
import sparen.sun.WeatherGenerator;

/** The weather of the last few runs: while a number is edited the weather stays, and making it costs more than the run. */
@Component
class WeatherCache {
    private static final int MOST = 8;

    /** All that weather is made from. */
    record Key(Location location, Instant start, int minutes, DayType type, double meanCelsius, long seed) {}

    private final Map<Key, Weather> recent = new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Weather> eldest) {
            return size() > MOST;
        }
    };

    Weather get(Key key) {
        synchronized (recent) {
            Weather known = recent.get(key);
            if (known != null) {
                return known;
            }
        }
        Weather made = WeatherGenerator.generate(
                key.location(), key.start(), key.minutes(), key.type(), key.meanCelsius(), key.seed());
        synchronized (recent) {
            recent.put(key, made);
        }
        return made;
    }
}
