/**
 * What is done to a piece before it is stuck and while it roots, as types: hormone with its strength and form, drying, soaking, and what
 * has no measure. Read from what people write in one place, {@link garden.vivarium.core.treatment.TreatmentReader}; everything else asks
 * the types. Uses {@code measure}.
 */
package garden.vivarium.core.treatment;
