package org.yarbel.web.page;

import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * One of several that can be chosen in a form.
 *
 * @param value what is sent
 * @param words what is read
 */
public record Choice(String value, String words) {
  /** The constants of an enumeration, by their names. */
  public static <E extends Enum<E>> List<Choice> of(Class<E> kind, Function<E, String> words) {
    return of(Arrays.asList(kind.getEnumConstants()), words);
  }

  /** Some of them. */
  public static <E extends Enum<E>> List<Choice> of(List<E> some, Function<E, String> words) {
    return some.stream().map(one -> new Choice(one.name(), words.apply(one))).toList();
  }

  /** What is sent as it is read. */
  public static List<Choice> plain(List<?> values) {
    return values.stream().map(value -> new Choice(value.toString(), value.toString())).toList();
  }
}
