package org.yarbel.web.contest;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** What of this screen can be found by typing. */
@Component
@Order(2)
class FindableContests implements Findable {
  private final ContestRepository contests;

  FindableContests(ContestRepository contests) {
    this.contests = contests;
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return contests.called(name.like(), limit).stream()
        .map(found -> new Found("contest", found.name(), "/contests/" + found.id(), found.day() == null
        ? "no date" : found.day().toString())).toList();
  }
}
