/**
 * How many to take and when to start: the chance that enough pieces are ready in time, and what follows from it. Uses
 * {@code timing}, {@code evidence} and {@code guide}.
 */
package garden.vivarium.core.plan;
