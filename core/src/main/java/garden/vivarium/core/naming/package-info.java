/** What a typed name means: every word of it accounted for, or the question that must be asked. */
package garden.vivarium.core.naming;
