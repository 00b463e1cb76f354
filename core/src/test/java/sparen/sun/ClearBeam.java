package sparen.sun;

/** For the figure of docs/model.md: the clear sky's beam, which is no matter of other packages. */
public final class ClearBeam {
    private ClearBeam() {}

    /** With the turbidity of ASTM G173's air at sea level (W/m²), by the sun's apparent altitude (°). */
    public static double watts(double apparentDegrees) {
        ClearSky sky = new ClearSky(0, 2.66, 1361);
        sky.look(SunTest.sineBelow(apparentDegrees));
        return sky.beamWatts();
    }
}
