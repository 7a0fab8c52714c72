package org.yarbel.web.library;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;

/** What of this screen can be found by typing. */
@Component
class FindableTemplates implements Findable {
  private final TemplateRepository templates;

  FindableTemplates(TemplateRepository templates) {
    this.templates = templates;
  }

  @Override
  public List<Found> called(String like, Limit limit) {
    return templates.called(like, limit).stream().map(found -> new Found("template", found.name(), "/library#template-" + found.id(), "in the library")).toList();
  }
}
