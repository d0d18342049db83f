package garden.vivarium.app.plan;

import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.plan.Aim;
import garden.vivarium.core.plan.WayPlan;

/** A way chosen for an aim, with the number that will be taken and its chance. */
record ChosenWay(Protocol protocol, Aim aim, WayPlan way, int take, double chance) {}
