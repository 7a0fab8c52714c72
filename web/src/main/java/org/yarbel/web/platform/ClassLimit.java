package org.yarbel.web.platform;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** The limit in the name of a weight class, such as {@code 83} or {@code -83 kg}; {@code 120+} has none. */
final class ClassLimit {
  private static final Pattern LIMIT = Pattern.compile("\\d{2,3}(?:[.,]\\d{1,2})?");

  private ClassLimit() {}

  /** The limit of a class that somebody is over; empty where they are not, or where nobody knows. */
  static Optional<Mass> over(String category, @Nullable Mass body) {
    Matcher limit = LIMIT.matcher(category);
    if (body == null || category.contains("+") || !limit.find()) {
      return Optional.empty();
    }
    Mass most = Mass.of(limit.group().replace(',', '.'), MassUnit.KG);
    return body.compareTo(most) > 0 ? Optional.of(most) : Optional.empty();
  }
}
