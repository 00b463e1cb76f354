package sparen.app.plan;

/** A site has a new revision. */
public record PlanSaved(String siteId, int revision) {}
