package org.yarbel.web.platform;

import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeTagProcessor;
import org.thymeleaf.processor.element.IElementTagStructureHandler;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * The attempts of a lift, written at once: a table of 200 athletes has 1800 of them, and evaluating a handful of expressions for each was
 * the greater part of its time. {@code <span tries:of="${list}"></span>} becomes a chip for each.
 */
@Component
class TriesDialect extends AbstractProcessorDialect {
  private static final String PREFIX = "tries";
  private static final int PRECEDENCE = 1000;

  TriesDialect() {
    super("Tries", PREFIX, PRECEDENCE);
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new Of(prefix));
  }

  private static final class Of extends AbstractAttributeTagProcessor {
    Of(String prefix) {
      super(TemplateMode.HTML, prefix, null, false, "of", true, PRECEDENCE, true);
    }

    @Override
    protected void doProcess(ITemplateContext context, IProcessableElementTag tag, AttributeName attribute, String value,
        IElementTagStructureHandler handler) {
      List<?> chips = (List<?>) StandardExpressions.getExpressionParser(context.getConfiguration()).parseExpression(context, value)
          .execute(context);
      StringBuilder html = new StringBuilder("<span class=\"tries\">");
      chips.forEach(chip -> write(html, (AthleteView.Chip) chip));
      handler.replaceWith(html.append("</span>"), false);
    }

    private static void write(StringBuilder html, AthleteView.Chip chip) {
      String load = chip.load().isEmpty() ? "·" : chip.load();
      html.append("<span class=\"attempt ").append(chip.state()).append("\"><span class=\"visually-hidden\">")
          .append(HtmlUtils.htmlEscape(chip.words(), "UTF-8")).append("</span><span aria-hidden=\"true\">")
          .append(HtmlUtils.htmlEscape(load, "UTF-8")).append("</span></span>");
    }
  }
}
