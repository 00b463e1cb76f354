package sparen.question;

import sparen.program.Plan;

/** The plan with a change. */
public record ChangedPlan(Plan plan) {}
