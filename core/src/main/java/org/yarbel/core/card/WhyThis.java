package org.yarbel.core.card;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;

/**
 * Why a set weighs what it does, in one line: its basis and where that is from, the share or the chart, the exact load, and what loads.
 * {@code 75 % of the estimated max, 182.5 kg as of Mon 2 Mar, is 136.9 kg; 137.5 kg is the nearest that loads: 25 ×2, 7.5 a side}.
 */
public final class WhyThis {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM yyyy", Locale.ENGLISH);

  private WhyThis() {}

  /** The lines of a line: one a set that comes from elsewhere than the set before it, with the sets it is of. */
  public static List<String> of(ResolvedLine line, Catalogue lifts) {
    List<String> all = new ArrayList<>();
    String before = "";
    for (ResolvedSet set : line.sets()) {
      String words = of(set, lifts);
      if (!words.equals(before) && !words.isEmpty()) {
        all.add(words);
      }
      before = words;
    }
    return all;
  }

  /** The line of a set; empty where nobody knows, as on cards of old. */
  public static String of(ResolvedSet set, Catalogue lifts) {
    LoadSource source = set.source();
    if (source == null) {
      return "";
    }
    Mass load = set.load();
    String from = from(source, lifts);
    if (load == null || source instanceof LoadSource.Picked) {
      return from;
    }
    return from + exact(set, source) + rounded(set, load) + plates(set);
  }

  private static String from(LoadSource source, Catalogue lifts) {
    if (source instanceof LoadSource.Share share) {
      return range(share.from(), share.to()) + " % of " + number(share.of(), lifts) + hung(share.hung());
    }
    if (source instanceof LoadSource.ByChart chart) {
      return plain(chart.toFailure()) + " reps to failure by the effort chart, of " + number(chart.of(), lifts)
          + (chart.share() == 1 ? "" : ", " + plain(100 * chart.share()) + " % of that") + hung(chart.hung());
    }
    if (source instanceof LoadSource.Drop drop) {
      return (drop.percent() != null ? plain(drop.percent().doubleValue()) + " %" : Objects.requireNonNull(drop.mass()).text())
          + " less than "
          + set(drop.from());
    }
    if (source instanceof LoadSource.ShareOfSet share) {
      return range(share.from(), share.to()) + " % of " + set(share.of());
    }
    if (source instanceof LoadSource.OfBody body) {
      return "body mass, " + body.body().text() + (body.added() == null ? "" : ", and " + body.added().text());
    }
    return source instanceof LoadSource.Written ? "Written as it is" : "The lifter picks it";
  }

  private static String number(LoadSource.Number number, Catalogue lifts) {
    String of = number.lift() == null ? "the " : "the " + name(number.lift(), lifts) + "’s ";
    LocalDate on = number.on();
    String day = on == null ? "" : switch (number.basis()) {
      case TESTED -> ", tested on " + DAY.format(on);
      case GOAL -> ", for " + DAY.format(on);
      default -> ", as of " + DAY.format(on);
    };
    String ratio = number.ratioOf() == null ? "" : ", taken from the " + name(number.ratioOf(), lifts) + "’s by the ratio";
    return of + number.basis().key() + " max, " + about(number.value()) + day + ratio;
  }

  private static String name(String key, Catalogue lifts) {
    return lifts.ofKey(key).map(Lift::name).orElse(key).toLowerCase(Locale.ROOT);
  }

  private static String set(LoadSource.Set set) {
    return set.above() ? "the set before it" : "the top set (" + set.place().part() + "." + set.place().set() + ")";
  }

  private static String hung(LoadSource.Hung hung) {
    Mass less = hung.less();
    Mass more = hung.more();
    return less == null ? "" : ", less " + less.text() + " that hang there" + (more == null ? "" : ", and " + more.text() + " that help");
  }

  private static String exact(ResolvedSet set, LoadSource source) {
    return set.exact() == null || source instanceof LoadSource.Written ? "" : ", is " + about(set.exact());
  }

  private static String rounded(ResolvedSet set, Mass load) {
    boolean hits = set.exact() != null && set.exact().hits(load);
    LoadSource.Rounding rounding = set.rounding();
    if (set.logged() || rounding == null || rounding == LoadSource.Rounding.NONE || hits) {
      return set.logged() ? "; lifted " + load.text() : "";
    }
    return "; " + load.text() + (rounding == LoadSource.Rounding.DOWN ? " is the next below that loads" : " is the nearest that loads");
  }

  private static String plates(ResolvedSet set) {
    List<Mass> side = set.perSide();
    if (side == null || side.isEmpty()) {
      return "";
    }
    Map<Mass, Integer> counted = new LinkedHashMap<>();
    side.forEach(plate -> counted.merge(plate, 1, Integer::sum));
    return ": " + counted.entrySet().stream().map(plate -> plate.getKey().number() + (plate.getValue() == 1 ? "" : " ×" + plate.getValue()))
        .collect(Collectors.joining(", ")) + " a side";
  }

  private static String range(BigDecimal from, @Nullable BigDecimal to) {
    return from.toPlainString() + (to == null ? "" : "–" + to.toPlainString());
  }

  /** A worked out mass to a tenth. */
  private static String about(Mass mass) {
    return plain(mass.amountIn(mass.unit(), 3).doubleValue()) + " " + mass.unit().symbol();
  }

  private static String plain(double value) {
    BigDecimal tenth = BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
    return (tenth.scale() < 0 ? tenth.setScale(0, RoundingMode.UNNECESSARY) : tenth).toPlainString();
  }
}
