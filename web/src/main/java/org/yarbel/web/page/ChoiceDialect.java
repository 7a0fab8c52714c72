package org.yarbel.web.page;

import java.util.Collection;
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
 * Lists of what can be chosen, written at once: a page such as the card has hundreds of options and pads, and evaluating a handful of
 * expressions for each was the greater part of its time. {@code <option choice:of="${list}" choice:chosen="${value}">} is replaced by an
 * option for each {@link Choice}; {@code <label choice:of="${list}" choice:name="rpe" choice:chosen="${value}">} by a label with a radio
 * button and its words, or, with {@code choice:among="${values}"} in place of {@code choice:chosen}, with a box to tick.
 */
@Component
class ChoiceDialect extends AbstractProcessorDialect {
  private static final String PREFIX = "choice";
  /** After the attributes that repeat an element and leave it out. */
  private static final int PRECEDENCE = 1000;

  ChoiceDialect() {
    super("Choices", PREFIX, PRECEDENCE);
  }

  @Override
  public Set<IProcessor> getProcessors(String prefix) {
    return Set.of(new Options(prefix), new Labels(prefix));
  }

  /** One kind of element that stands for a list. */
  private abstract static class Choices extends AbstractAttributeTagProcessor {
    Choices(String prefix, String element) {
      super(TemplateMode.HTML, prefix, element, false, "of", true, PRECEDENCE, true);
    }

    @Override
    protected void doProcess(ITemplateContext context, IProcessableElementTag tag, AttributeName attribute, String value,
        IElementTagStructureHandler handler) {
      List<?> all = (List<?>) value(context, value);
      Picked picked = picked(context, tag);
      StringBuilder html = new StringBuilder();
      all.forEach(one -> write(html, (Choice) one, picked));
      handler.replaceWith(html, false);
    }

    abstract void write(StringBuilder html, Choice one, Picked picked);

    private static Picked picked(ITemplateContext context, IProcessableElementTag tag) {
      String named = tag.getAttributeValue(PREFIX, "name");
      String name = named == null ? "" : escaped(value(context, named).toString());
      String among = tag.getAttributeValue(PREFIX, "among");
      if (among != null) {
        return new Picked(name, true, ((Collection<?>) value(context, among)).stream().map(ChoiceDialect::sent).toList());
      }
      String chosen = tag.getAttributeValue(PREFIX, "chosen");
      Object one = chosen == null ? null : value(context, chosen);
      return new Picked(name, false, one == null ? List.of() : List.of(sent(one)));
    }

    private static Object value(ITemplateContext context, String expression) {
      return StandardExpressions.getExpressionParser(context.getConfiguration()).parseExpression(context, expression).execute(context);
    }
  }

  private static String sent(Object value) {
    return value instanceof Enum<?> constant ? constant.name() : value.toString();
  }

  private static String escaped(String text) {
    return HtmlUtils.htmlEscape(text, "UTF-8");
  }

  /** What of a list is chosen, and whether several can be. */
  private record Picked(String name, boolean several, List<String> values) {
    String mark(Choice one, String how) {
      return values.contains(one.value()) ? " " + how + "=\"" + how + "\"" : "";
    }
  }

  private static final class Options extends Choices {
    Options(String prefix) {
      super(prefix, "option");
    }

    @Override
    void write(StringBuilder html, Choice one, Picked picked) {
      html.append("<option value=\"").append(escaped(one.value())).append('"').append(picked.mark(one, "selected"))
          .append('>').append(escaped(one.words())).append("</option>");
    }
  }

  private static final class Labels extends Choices {
    Labels(String prefix) {
      super(prefix, "label");
    }

    @Override
    void write(StringBuilder html, Choice one, Picked picked) {
      html.append("<label><input type=\"").append(picked.several() ? "checkbox" : "radio").append("\" name=\"")
          .append(picked.name()).append("\" value=\"").append(escaped(one.value())).append('"')
          .append(picked.mark(one, "checked")).append("><span>").append(escaped(one.words()))
          .append("</span></label>");
    }
  }
}
