package sparen.app.handover;

/** A device of a site was read. */
public record DeviceRead(String siteId) {}
