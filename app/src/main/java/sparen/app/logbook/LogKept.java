package sparen.app.logbook;

/** What was done at a site, or how often something is due there, is other than before. */
public record LogKept(String siteId) {}
