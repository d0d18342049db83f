package garden.vivarium.app.platform;

import garden.vivarium.core.measure.UnitSystem;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.IPostProcessorDialect;
import org.thymeleaf.engine.AbstractTemplateHandler;
import org.thymeleaf.model.ICloseElementTag;
import org.thymeleaf.model.IOpenElementTag;
import org.thymeleaf.model.IText;
import org.thymeleaf.postprocessor.IPostProcessor;
import org.thymeleaf.postprocessor.PostProcessor;
import org.thymeleaf.templatemode.TemplateMode;

/** Tells every measure that a page says, the guide's prose too, in the units of whoever reads it. What is typed is left alone. */
@Component
class UnitsOnPages implements IPostProcessorDialect {

    private static final int AFTER_ALL = 1_000;

    @Override
    public String getName() {
        return "units";
    }

    @Override
    public int getDialectPostProcessorPrecedence() {
        return AFTER_ALL;
    }

    @Override
    public Set<IPostProcessor> getPostProcessors() {
        return Set.of(new PostProcessor(TemplateMode.HTML, Retelling.class, AFTER_ALL));
    }

    /** Made by Thymeleaf for each page. */
    public static final class Retelling extends AbstractTemplateHandler {

        private static final Set<String> TYPED = Set.of("textarea", "script", "style", "title");

        private UnitSystem units = UnitSystem.METRIC;
        private int typed;

        /** Made by Thymeleaf. */
        public Retelling() {
            super();
        }

        @Override
        public void setContext(ITemplateContext context) {
            super.setContext(context);
            units = context.getVariable("who") instanceof SignedIn who ? who.units() : UnitSystem.METRIC;
        }

        @Override
        public void handleOpenElement(IOpenElementTag tag) {
            typed += TYPED.contains(tag.getElementCompleteName()) ? 1 : 0;
            super.handleOpenElement(tag);
        }

        @Override
        public void handleCloseElement(ICloseElementTag tag) {
            typed -= TYPED.contains(tag.getElementCompleteName()) ? 1 : 0;
            super.handleCloseElement(tag);
        }

        @Override
        public void handleText(IText text) {
            if (units == UnitSystem.METRIC || typed > 0) {
                super.handleText(text);
                return;
            }
            String said = text.getText();
            String told = units.retell(said);
            super.handleText(
                    told.equals(said) ? text : getContext().getModelFactory().createText(told));
        }
    }
}
