package org.yarbel.web.group;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** What of this screen can be found by typing. */
@Component
@Order(3)
class FindableGroups implements Findable {
  private final LifterGroupRepository groups;

  FindableGroups(LifterGroupRepository groups) {
    this.groups = groups;
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return groups.called(name.like(), limit).stream()
        .map(found -> new Found("group", found.name(), "/groups/" + found.id() + "/week", "the group's week")).toList();
  }
}
