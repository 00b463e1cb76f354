package sparen.app.site;

/** What has become of a site. */
public enum SiteState {
    /** Looked after. */
    ACTIVE,
    /** Put away, with all its revisions. */
    ARCHIVED,
    /** Gone from every list, until somebody takes that back. */
    DELETED
}
