package sparen.app.site;

/**
 * Somebody has said when a site is looked after next.
 *
 * @param visit the day, or that there is none
 */
public record CarePlanned(String siteId, String visit) {}
