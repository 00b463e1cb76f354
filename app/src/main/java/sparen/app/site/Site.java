package sparen.app.site;

/**
 * A site without its plan.
 *
 * @param id its name in addresses
 * @param name what the crew calls it
 * @param state what has become of it
 */
public record Site(String id, String name, SiteState state) {}
