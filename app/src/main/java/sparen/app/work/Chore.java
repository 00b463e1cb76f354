package sparen.app.work;

import java.util.List;

/** What is done for sites by itself, at night and when something changed, while nobody waits for it. */
public interface Chore {
    /** Its name in the scheduler's table. */
    String name();

    /** Does it for a site; doing it twice changes nothing. */
    void run(String siteId);

    /** The sites it is done for each night. */
    List<String> sites();
}
