package garden.vivarium.app.label;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LabelPrintRepository extends JpaRepository<LabelPrint, UUID> {

    List<LabelPrint> findTop8ByOrderByMadeAtDesc();

    Optional<LabelPrint> findFirstBySheetAndPrinterFalseOrderByMadeAtDesc(String sheet);
}
