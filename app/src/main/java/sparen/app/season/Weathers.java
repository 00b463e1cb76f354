package sparen.app.season;

import java.time.Instant;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import sparen.app.weather.WeatherFiles;
import sparen.question.RunInputs;
import sparen.question.WeatherChoice;
import sparen.site.Location;
import sparen.study.Progress;
import sparen.sun.Weather;

/** Makes weather, and keeps that of the last few runs: while a number is edited the weather stays, and making it costs more than the run. */
@Component
class Weathers {
    /** Minutes kept in all: some 60 bytes each. */
    private static final int MOST_MINUTES = 1_700_000;

    private final WeatherFiles files;
    private final Map<Key, Weather> recent = new LinkedHashMap<>(16, 0.75f, true);

    Weathers(WeatherFiles files) {
        this.files = files;
    }

    /** All that weather is made from. */
    private record Key(
            String site, Location location, Instant start, int minutes, WeatherChoice choice, long weatherNumber) {}

    Weather of(String siteId, RunInputs inputs, Progress progress) {
        Key key = new Key(
                siteId,
                inputs.plan().site().location(),
                inputs.start(),
                inputs.minutes(),
                inputs.weather(),
                // A file is the same for every weather number.
                inputs.weather().file().isPresent() ? 0 : inputs.weatherNumber());
        synchronized (recent) {
            Weather known = recent.get(key);
            if (known != null) {
                return known;
            }
        }
        Weather made = make(key, () -> progress.goOn(0));
        if (made.minutes() > MOST_MINUTES) {
            return made;
        }
        synchronized (recent) {
            recent.put(key, made);
            int minutes = recent.values().stream().mapToInt(Weather::minutes).sum();
            Iterator<Weather> oldest = recent.values().iterator();
            while (minutes > MOST_MINUTES) {
                minutes -= oldest.next().minutes();
                oldest.remove();
            }
        }
        return made;
    }

    private Weather make(Key key, Runnable eachDay) {
        return key.choice()
                .make(
                        key.location(),
                        key.start(),
                        key.minutes(),
                        key.weatherNumber(),
                        file -> files.file(key.site(), file),
                        eachDay);
    }
}
