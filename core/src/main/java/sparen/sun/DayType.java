package sparen.sun;

/** Kinds of weather that can be asked for. */
public enum DayType {
    /** Not a cloud. */
    CLEAR(1, 1, 0),
    /** Clouds and sun by turns. */
    MIXED(0.95, 0.35, 0.45),
    /** Overcast all day. */
    DULL(0.30, 0.18, 0.75);

    /** Share of clear-sky irradiance that comes through between clouds and under them; judgement, no source. */
    final double betweenClouds;

    final double underClouds;
    /** Share of the time under cloud; judgement, no source. */
    final double cloudShare;

    DayType(double betweenClouds, double underClouds, double cloudShare) {
        this.betweenClouds = betweenClouds;
        this.underClouds = underClouds;
        this.cloudShare = cloudShare;
    }
}
