package sparen.app.profile;

/** A site has a consumption profile more. */
public record ProfileTaken(String siteId) {}
