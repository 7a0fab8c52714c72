package org.yarbel.core.lift;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Refused;

/**
 * The lifts a plan can name, as a family tree: ours, and those a club has added.
 *
 * <p>Ours stand in the table {@code lifts.txt} beside this class, one lift a line. Ratios to the parent are our own
 * defaults; which lift belongs where is common practice, no source. Immutable.
 */
public final class Catalogue {
  private static final String TABLE = "lifts.txt";
  private static final int COLUMNS = 10;
  private static final Catalogue STANDARD = new Catalogue(standardLifts());

  private final Map<String, Lift> byKey;

  private Catalogue(Map<String, Lift> byKey) {
    this.byKey = byKey;
  }

  /** Our own lifts. */
  public static Catalogue standard() {
    return STANDARD;
  }

  /**
   * These lifts and a club's own.
   *
   * @throws Refused when a key is taken, a parent unknown, or a lift its own forebear
   */
  public Catalogue with(Collection<Lift> own) {
    if (own.isEmpty()) {
      return this;
    }
    Map<String, Lift> all = new LinkedHashMap<>(byKey);
    for (Lift lift : own) {
      if (all.putIfAbsent(lift.key(), lift) != null) {
        throw new Refused("There is a lift " + lift.key() + " already: choose another key");
      }
    }
    return new Catalogue(checked(all));
  }

  /** Every lift, a family after the other, contest lifts first. */
  public List<Lift> all() {
    return List.copyOf(byKey.values());
  }

  /** The three contest lifts of powerlifting: squat, bench press, deadlift. */
  public List<Lift> powerlifts() {
    return byKey.values().stream().filter(Lift::powerlift).toList();
  }

  /** The lift with this key, in any letter case. */
  public Optional<Lift> ofKey(String key) {
    return Optional.ofNullable(byKey.get(key.toLowerCase(Locale.ROOT)));
  }

  /** The lift that somebody typed: its key or its name, in any letter case. */
  public Optional<Lift> named(String typed) {
    String text = typed.strip();
    return ofKey(text).or(() -> byKey.values().stream().filter(lift -> lift.name().equalsIgnoreCase(text)).findFirst());
  }

  /** What to say of a text that names no lift, with the lift that may have been meant. */
  public String unknown(String typed) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    if (text.isEmpty()) {
      return "Write which lift.";
    }
    Optional<Lift> meant = text.length() < 3 ? Optional.empty()
        : byKey.values().stream().filter(lift -> lift.name().toLowerCase(Locale.ROOT).contains(text) || lift.key().contains(text))
            .findFirst().or(() -> byKey.values().stream().filter(lift -> lift.key().startsWith(text.substring(0, 3))).findFirst());
    return "There is no lift '" + typed.strip() + "'." + meant.map(lift -> " Maybe " + lift.key() + "?").orElse("");
  }

  /** The lift that another varies. */
  public Optional<Lift> parent(Lift lift) {
    return Optional.ofNullable(lift.parent()).map(byKey::get);
  }

  /** What varies a lift directly. */
  public List<Lift> children(Lift lift) {
    return byKey.values().stream().filter(other -> lift.key().equals(other.parent())).toList();
  }

  /** The heads of the families. */
  public List<Lift> heads() {
    return byKey.values().stream().filter(lift -> lift.parent() == null).toList();
  }

  /** The lift, its parent, and so on up to the head of the family. */
  public List<Lift> line(Lift lift) {
    List<Lift> line = new ArrayList<>();
    for (Optional<Lift> next = Optional.of(lift); next.isPresent(); next = parent(next.get())) {
      line.add(next.get());
    }
    return line;
  }

  /**
   * The head of the family that a lift counts with: up its forebears as far as they are of the same movement. A front
   * squat counts with the squat; a leg press, an overhead press and a good morning count for themselves.
   */
  public Lift family(Lift lift) {
    Lift head = lift;
    Optional<Lift> parent = parent(lift);
    while (parent.isPresent() && parent.get().movement() == lift.movement()) {
      head = parent.get();
      parent = parent(head);
    }
    return head;
  }

  private static Map<String, Lift> checked(Map<String, Lift> lifts) {
    for (Lift lift : lifts.values()) {
      Set<String> seen = new HashSet<>();
      for (Lift at = lift; at.parent() != null; at = lifts.get(at.parent())) {
        if (!lifts.containsKey(at.parent())) {
          throw new Refused("The lift " + at.name() + " varies '" + at.parent() + "', which is no lift");
        }
        if (!seen.add(at.key())) {
          throw new Refused("The lift " + lift.name() + " cannot vary itself");
        }
      }
    }
    return lifts;
  }

  private static Map<String, Lift> standardLifts() {
    try (InputStream in = Catalogue.class.getResourceAsStream(TABLE)) {
      if (in == null) {
        throw new IllegalStateException("The table " + TABLE + " is missing");
      }
      return checked(read(TABLE, new String(in.readAllBytes(), StandardCharsets.UTF_8)));
    } catch (IOException e) {
      throw new IllegalStateException("The table " + TABLE + " cannot be read", e);
    }
  }

  /** Reads a table strictly: the first bad line is named with its file, number and text. */
  static Map<String, Lift> read(String file, String table) {
    Map<String, Lift> lifts = new LinkedHashMap<>();
    int number = 0;
    for (String line : table.split("\n", -1)) {
      number++;
      if (!line.isBlank() && !line.startsWith("#")) {
        try {
          Lift lift = lift(line);
          if (lifts.put(lift.key(), lift) != null) {
            throw new Refused("The lift " + lift.key() + " stands twice");
          }
        } catch (IllegalArgumentException wrong) {
          throw new IllegalStateException(file + ", line " + number + ": " + wrong.getMessage() + ": " + line, wrong);
        }
      }
    }
    return lifts;
  }

  private static Lift lift(String line) {
    String[] cells = line.split("\\|", -1);
    if (cells.length != COLUMNS) {
      throw new Refused("A lift has " + COLUMNS + " columns, not " + cells.length);
    }
    for (int i = 0; i < COLUMNS; i++) {
      cells[i] = cells[i].strip();
    }
    Lift.Contest strongman = cells[6].contains("strongman") ? Lift.Contest.STRONGMAN : Lift.Contest.NO;
    Lift.Contest contest = cells[6].contains("powerlifting") ? Lift.Contest.POWERLIFTING : strongman;
    Set<Muscle> muscles = EnumSet.noneOf(Muscle.class);
    for (String muscle : cells[8].split(",")) {
      if (!muscle.isBlank()) {
        muscles.add(constant(Muscle.class, muscle));
      }
    }
    return new Lift(cells[0], cells[1], cells[2].isEmpty() ? null : cells[2], constant(Movement.class, cells[3]),
        constant(Pattern.class, cells[4]), constant(Equipment.class, cells[5]), contest, cells[6].contains("close"),
        ratio(cells[7]), muscles, Variation.parse(cells[9]));
  }

  private static Lift.@Nullable Ratio ratio(String text) {
    if (text.isEmpty()) {
      return null;
    }
    String[] both = text.split("±");
    return new Lift.Ratio(Double.parseDouble(both[0]), Double.parseDouble(both[1]));
  }

  private static <E extends Enum<E>> E constant(Class<E> type, String word) {
    return Enum.valueOf(type, word.strip().toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_'));
  }
}
