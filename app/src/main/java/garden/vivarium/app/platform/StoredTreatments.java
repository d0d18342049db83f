package garden.vivarium.app.platform;

import garden.vivarium.core.treatment.Treatments;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;

/** Treatments in one column, as {@link Treatments#code()} writes them. */
@Converter
public class StoredTreatments implements AttributeConverter<Treatments, String> {

    @Override
    public String convertToDatabaseColumn(Treatments treatments) {
        return treatments == null ? "" : treatments.code();
    }

    @Override
    public Treatments convertToEntityAttribute(String code) {
        return code == null ? Treatments.NONE : Treatments.stored(code);
    }
}
