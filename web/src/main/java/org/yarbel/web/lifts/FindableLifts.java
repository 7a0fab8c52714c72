package org.yarbel.web.lifts;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Sought;

/** What of this screen can be found by typing. */
@Component
@Order(6)
class FindableLifts implements Findable {
  private final Lifts lifts;

  FindableLifts(Lifts lifts) {
    this.lifts = lifts;
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return lifts.catalogue().all().stream().filter(lift -> name.in(lift.name()) || name.in(lift.key())).limit(limit.max())
        .map(lift -> new Found("lift", lift.name(), "/lifts#lift-" + lift.key(), lift.key())).toList();
  }
}
