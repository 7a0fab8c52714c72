package org.yarbel.web.club;

import java.util.List;
import org.springframework.data.domain.Limit;

/** A screen that tells what of it can be found by typing a part of its name. */
public interface Findable {
  /**
   * Something that was found.
   *
   * @param kind what it is, in a word
   * @param more what tells it from others
   */
  record Found(String kind, String name, String address, String more) {}

  /**
   * What is called so, by name.
   *
   * @param like a part of the name in small letters, its signs escaped by {@code !}
   */
  List<Found> called(String like, Limit limit);
}
