package org.yarbel.core.lift;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.yarbel.core.mass.Refused;

/**
 * What makes a lift differ from its parent, such as 'close grip, 2 s pause': stance, grip, bar, pause, height of pins or
 * blocks, deficit, tempo, bands or chains.
 *
 * <p>Written as {@code grip=close pause=2}, each trait at most once. It does not model the load.
 *
 * @param traits in the order of {@link Trait}
 */
public record Variation(Map<Trait, String> traits) {
  /** The lift as such. */
  public static final Variation NONE = new Variation(Map.of());

  /** A way to differ. */
  public enum Trait {
    STANCE("stance", "%s stance"),
    GRIP("grip", "%s grip"),
    BAR("bar", "%s bar"),
    POSITION("position", "%s"),
    PAUSE("pause", "%s s pause"),
    PINS("pins", "from pins, %s"),
    DEFICIT("deficit", "%s cm deficit"),
    BLOCKS("blocks", "from blocks, %s"),
    TEMPO("tempo", "tempo %s"),
    RESISTANCE("with", "with %s");

    private final String key;
    private final String words;

    Trait(String key, String words) {
      this.key = key;
      this.words = words;
    }

    /** The word before the equals sign. */
    public String key() {
      return key;
    }

    private boolean number() {
      return this == PAUSE || this == DEFICIT;
    }

    private static Trait ofKey(String key) {
      for (Trait trait : values()) {
        if (trait.key.equals(key)) {
          return trait;
        }
      }
      throw new Refused("There is no trait '" + key + "' of a lift");
    }
  }

  public Variation {
    Map<Trait, String> ordered = new EnumMap<>(Trait.class);
    ordered.putAll(traits);
    ordered.forEach((trait, value) -> {
      if (!value.matches(trait.number() ? "[1-9]\\d?" : "[A-Za-z0-9X-]{1,30}")) {
        throw new Refused("The " + trait.key() + " of a lift cannot be '" + value + "'");
      }
    });
    traits = Collections.unmodifiableMap(ordered);
  }

  /** Reads what {@link #toString()} writes. */
  public static Variation parse(String text) {
    Map<Trait, String> traits = new LinkedHashMap<>();
    for (String token : text.isBlank() ? new String[0] : text.strip().split("\\s+")) {
      int at = token.indexOf('=');
      if (at < 1) {
        throw new Refused("A trait of a lift looks like pause=2 but was '" + token + "'");
      }
      if (traits.put(Trait.ofKey(token.substring(0, at)), token.substring(at + 1)) != null) {
        throw new Refused("The trait '" + token.substring(0, at) + "' of a lift was given twice");
      }
    }
    return new Variation(traits);
  }

  /** Whether only part of the range is moved, so that more than the max may be: from pins or blocks, not from the bottom. */
  public boolean partial() {
    String pins = traits.get(Trait.PINS);
    return traits.containsKey(Trait.BLOCKS) || pins != null && !pins.contains("bottom");
  }

  /**
   * Whether others help the bar up again, so that it is lowered with more than can be lifted: it has no max of its own, its
   * shares are of what is lifted unaided.
   */
  public boolean assisted() {
    return "spotters".equals(traits.get(Trait.RESISTANCE));
  }

  /** The words a person reads: {@code close grip, 2 s pause}; empty for none. */
  public String words() {
    List<String> words = new ArrayList<>();
    traits.forEach((trait, value) -> words.add(String.format(
        Locale.ROOT, trait.words, trait == Trait.TEMPO ? value : value.replace('-', ' '))));
    return String.join(", ", words);
  }

  @Override
  public String toString() {
    List<String> tokens = new ArrayList<>();
    traits.forEach((trait, value) -> tokens.add(trait.key() + "=" + value));
    return String.join(" ", tokens);
  }
}
