package org.yarbel.web.lifter;

import java.util.List;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** What of this screen can be found by typing. */
@Component
@Order(1)
class FindableLifters implements Findable {
  private final LifterRepository lifters;

  FindableLifters(LifterRepository lifters) {
    this.lifters = lifters;
  }

  @Override
  public List<Found> called(Sought name, Limit limit) {
    return lifters.named(name.like(), limit).stream()
        .flatMap(found -> Stream.of(new Found("lifter", found.name(), "/lifters/" + found.id() + "/week", "week board"),
        new Found("lifter", found.name(), "/lifters/" + found.id(), "numbers, body, places"))).toList();
  }
}
