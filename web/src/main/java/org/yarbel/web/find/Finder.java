package org.yarbel.web.find;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.Findable;
import org.yarbel.web.form.Sought;

/** Looks through every screen for what is called so, a few of each, a query a screen. */
@Service
class Finder {
  private static final Limit MOST = Limit.of(6);

  private final List<Findable> screens;

  /** Screens in the order of what is looked for most. */
  Finder(List<Findable> screens) {
    this.screens = List.copyOf(screens);
  }

  /** What is called so; nothing for an empty text. */
  @Transactional(readOnly = true)
  List<Findable.Found> of(Sought name) {
    return name.nothing() ? List.of() : screens.stream().flatMap(screen -> screen.called(name, MOST).stream()).toList();
  }
}
