package org.yarbel.web.library;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** What of this screen can be found by typing. */
@Component
@Order(4)
class FindableTemplates implements Findable {
  private final TemplateRepository templates;

  FindableTemplates(TemplateRepository templates) {
    this.templates = templates;
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return templates.called(name.like(), limit).stream()
        .map(found -> new Found("template", found.name(), "/library#template-" + found.id(), "in the library")).toList();
  }
}
