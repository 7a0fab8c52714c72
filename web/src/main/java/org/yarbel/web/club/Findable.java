package org.yarbel.web.club;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.yarbel.web.form.Sought;

/** A screen that tells what of it can be found by typing a part of its name. */
public interface Findable {
  /**
   * Something that was found.
   *
   * @param kind what it is, in a word
   * @param more what tells it from others
   */
  record Found(String kind, String name, String address, String more) {}

  /** What is called so, by name. */
  List<Found> called(Sought name, Limit limit);
}
