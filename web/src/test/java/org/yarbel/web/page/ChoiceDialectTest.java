package org.yarbel.web.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templateresolver.StringTemplateResolver;
import org.yarbel.core.log.Pain;

class ChoiceDialectTest {
  private static final List<Choice> SIDES = Choice.of(Pain.Side.class, Pain.Side::word);

  private static String page(String template, Map<String, Object> model) {
    return page(template, new Context(Locale.ROOT, model));
  }

  private static String page(String template, Context context) {
    SpringTemplateEngine engine = new SpringTemplateEngine();
    engine.setTemplateResolver(new StringTemplateResolver());
    engine.addDialect(new ChoiceDialect());
    return engine.process(template, context);
  }

  @Test
  void anOptionStandsForAllOfThemAndTheOneThatIsChosenIsMarked() {
    assertThat(page("<select><option value=\"\">none</option><option choice:of=\"${all}\" choice:chosen=\"${one}\">8</option></select>",
        Map.of("all", Choice.plain(List.of(8, 8.5)), "one", "8.5")))
        .isEqualTo("<select><option value=\"\">none</option><option value=\"8\">8</option>"
            + "<option value=\"8.5\" selected=\"selected\">8.5</option></select>");
  }

  @Test
  void aLabelStandsForButtonsOfWhichOneIsPressed() {
    assertThat(page("<p><label choice:of=\"${all}\" choice:name=\"side\" choice:chosen=\"${one}\">left</label></p>",
        Map.of("all", SIDES, "one", Pain.Side.RIGHT)))
        .startsWith("<p><label><input type=\"radio\" name=\"side\" value=\"LEFT\"><span>left</span></label>")
        .contains("value=\"RIGHT\" checked=\"checked\"><span>right</span>").containsOnlyOnce("checked=");
  }

  @Test
  void orForBoxesOfWhichSeveralAreTicked() {
    assertThat(page("<p><label choice:of=\"${all}\" choice:name=\"${'side.' + at}\" choice:among=\"${some}\">left</label></p>",
        Map.of("all", SIDES, "at", 2, "some", EnumSet.of(Pain.Side.LEFT, Pain.Side.RIGHT))))
        .contains("<input type=\"checkbox\" name=\"side.2\" value=\"LEFT\" checked=\"checked\">")
        .contains("value=\"RIGHT\" checked=\"checked\">");
  }

  @Test
  void nothingIsChosenWhereNothingWasSaid() {
    Context context = new Context(Locale.ROOT, Collections.singletonMap("none", null));
    context.setVariable("all", SIDES);
    assertThat(page("<p><label choice:of=\"${all}\" choice:name=\"side\" choice:chosen=\"${none}\">left</label></p>", context))
        .contains("value=\"LEFT\">").doesNotContain("checked");
  }

  @Test
  void whatIsReadIsTextAndNeverMarkup() {
    assertThat(page("<select><option choice:of=\"${all}\">one</option></select>",
        Map.of("all", List.of(new Choice("\"><script>", "<b>1 & 2</b>")))))
        .isEqualTo("<select><option value=\"&quot;&gt;&lt;script&gt;\">&lt;b&gt;1 &amp; 2&lt;/b&gt;</option></select>");
  }
}
