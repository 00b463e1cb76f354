package sparen.app.site;

/** What is kept of sites in one place, and can be asked whether it is whole: what came as a file from elsewhere is asked before it is kept. */
public interface SiteContent {
    /**
     * Reads all that is kept of a site here, as it is read when somebody looks at it.
     *
     * @throws RuntimeException that says what cannot be read
     */
    void mustBeReadable(String siteId);
}
