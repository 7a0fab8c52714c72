package org.yarbel.web.api;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The parameters of a call; an unknown one is refused. */
final class Parameters {
  private final Map<String, String> given;

  Parameters(Map<String, String> given, List<String> known) {
    given.keySet().stream().filter(name -> !known.contains(name)).findFirst().ifPresent(name -> {
      throw new NotAsDescribed("There is no parameter " + name + "; there are " + String.join(", ", known) + ".");
    });
    this.given = given;
  }

  @Nullable String text(String name) {
    return given.get(name);
  }

  boolean has(String name) {
    return given.containsKey(name);
  }

  BigDecimal decimal(String name) {
    String text = given.get(name);
    if (text == null || text.length() > 20 || !text.matches("-?\\d+(\\.\\d+)?")) {
      throw new NotAsDescribed("The parameter " + name + " must be a number.");
    }
    return new BigDecimal(text);
  }

  int whole(String name) {
    BigDecimal number = decimal(name);
    if (number.stripTrailingZeros().scale() > 0) {
      throw new NotAsDescribed("The " + name + " must be a whole number.");
    }
    if (number.signum() <= 0 || number.compareTo(BigDecimal.valueOf(100)) > 0) {
      throw new OutOfRange("The " + name + " must be from 1 to 100 but were " + number.toPlainString() + ".");
    }
    return number.intValueExact();
  }
}
