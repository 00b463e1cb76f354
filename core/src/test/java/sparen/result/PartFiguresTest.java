package sparen.result;

import static org.testng.Assert.assertEquals;

import java.util.List;
import org.testng.annotations.Test;
import sparen.result.FeederFigures.BandFigures;

/** What lies between two states of what a run has counted, by hand. */
public class PartFiguresTest {
    /** Of a band that was there before only what has come since; one that comes later with all it has. */
    @Test
    public void aFeedersBandsAreTakenByTheirHours() {
        BandFigures night = new BandFigures("00:00 to 06:00", 0.1, 0, 10, 0, 1);
        FeederFigures before = new FeederFigures("feeder", 60, List.of(night));
        FeederFigures after = new FeederFigures(
                "feeder",
                200,
                List.of(
                        new BandFigures("00:00 to 06:00", 0.1, 0, 14, 0, 1.4),
                        new BandFigures("outside all bands", 0, 0, 2, 1, 0)));
        FeederFigures since = after.since(before);
        assertEquals(since.outageSeconds(), 140.0);
        assertEquals(since.bands().get(0).importKilowattHours(), 4.0);
        assertEquals(since.bands().get(0).cost(), 0.4, 1e-12);
        assertEquals(since.bands().get(1).importKilowattHours(), 2.0);
    }

    @Test
    public void aGeneratorsCountsAreTakenOneByOne() {
        GeneratorFigures before = new GeneratorFigures("diesel", 3600, 2, 1, 600, 1.5);
        assertEquals(
                new GeneratorFigures("diesel", 9000, 5, 1, 900, 4).since(before),
                new GeneratorFigures("diesel", 5400, 3, 0, 300, 2.5));
    }
}
