package garden.vivarium.app.platform;

import java.io.Writer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.MessageSource;
import org.springframework.expression.PropertyAccessor;
import org.springframework.stereotype.Component;
import org.thymeleaf.IEngineConfiguration;
import org.thymeleaf.IThrottledTemplateProcessor;
import org.thymeleaf.TemplateSpec;
import org.thymeleaf.context.IContext;
import org.thymeleaf.spring6.ISpringTemplateEngine;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/** The template engine, told how pages read properties before each page: the view makes a context of its own each time. */
final class PageEngine implements ISpringTemplateEngine {

    private static final PageProperties PROPERTIES = new PageProperties();

    private final ISpringTemplateEngine engine;

    PageEngine(ISpringTemplateEngine engine) {
        this.engine = engine;
    }

    /** Puts it where views look for theirs. */
    @Component
    static class Installer implements BeanPostProcessor {
        @Override
        public Object postProcessAfterInitialization(Object bean, String name) {
            if (bean instanceof ThymeleafViewResolver resolver) {
                resolver.setTemplateEngine(new PageEngine(resolver.getTemplateEngine()));
            }
            return bean;
        }
    }

    private static IContext told(IContext context) {
        if (context.getVariable(ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME)
                instanceof ThymeleafEvaluationContext expressions) {
            List<PropertyAccessor> accessors = new ArrayList<>(expressions.getPropertyAccessors());
            accessors.add(0, PROPERTIES);
            expressions.setPropertyAccessors(accessors);
        }
        return context;
    }

    @Override
    public void setTemplateEngineMessageSource(MessageSource messages) {
        engine.setTemplateEngineMessageSource(messages);
    }

    @Override
    public void setAllowedClassOverridesForViews(Collection<Class<?>> classes) {
        engine.setAllowedClassOverridesForViews(classes);
    }

    @Override
    public Collection<Class<?>> getAllowedClassOverridesForViews() {
        return engine.getAllowedClassOverridesForViews();
    }

    @Override
    public IEngineConfiguration getConfiguration() {
        return engine.getConfiguration();
    }

    @Override
    public String process(String template, IContext context) {
        return engine.process(template, told(context));
    }

    @Override
    public String process(String template, Set<String> selectors, IContext context) {
        return engine.process(template, selectors, told(context));
    }

    @Override
    public String process(TemplateSpec template, IContext context) {
        return engine.process(template, told(context));
    }

    @Override
    public void process(String template, IContext context, Writer writer) {
        engine.process(template, told(context), writer);
    }

    @Override
    public void process(String template, Set<String> selectors, IContext context, Writer writer) {
        engine.process(template, selectors, told(context), writer);
    }

    @Override
    public void process(TemplateSpec template, IContext context, Writer writer) {
        engine.process(template, told(context), writer);
    }

    @Override
    public IThrottledTemplateProcessor processThrottled(String template, IContext context) {
        return engine.processThrottled(template, told(context));
    }

    @Override
    public IThrottledTemplateProcessor processThrottled(String template, Set<String> selectors, IContext context) {
        return engine.processThrottled(template, selectors, told(context));
    }

    @Override
    public IThrottledTemplateProcessor processThrottled(TemplateSpec template, IContext context) {
        return engine.processThrottled(template, told(context));
    }
}
