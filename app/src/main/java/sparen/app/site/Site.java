package sparen.app.site;

/**
 * A site without its plan.
 *
 * @param id its name in addresses
 * @param name what the crew calls it
 */
public record Site(String id, String name) {}
