package org.yarbel.core.call;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;

/** Days, figures and facts as calls write them. */
final class Say {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private Say() {}

  static String day(LocalDate day) {
    return DAY.format(day);
  }

  /** To a tenth, without trailing zeros. */
  static String number(double value) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).stripTrailingZeros();
    return (rounded.scale() < 0 ? rounded.setScale(0, RoundingMode.UNNECESSARY) : rounded).toPlainString();
  }

  /** A measured mass to a tenth. */
  static String about(Mass mass) {
    return number(mass.amountIn(mass.unit(), 3).doubleValue()) + " " + mass.unit().symbol();
  }

  /** {@code 4 of 5 at 142.5 kg @9}. */
  static String set(Picture.Lifted set) {
    List<String> words = new ArrayList<>();
    words.add(set.reps() + (set.asked() == null || set.asked() == set.reps() ? set.reps() == 1 ? " rep" : " reps"
        : " of " + set.asked()) + " at " + set.load().text());
    if (set.easier()) {
      words.add("easier than 6");
    } else if (set.rated() != null) {
      words.add("@" + set.rated());
    }
    String asked = set.target() == null ? "" : ", asked @" + number(set.target());
    String state = set.state().isEmpty() ? "" : ", " + set.state().stream().map(context -> context.word())
        .sorted().collect(Collectors.joining(", "));
    String marks = set.marks().stream().filter(mark -> mark != TechniqueMark.OTHER).map(mark -> ", " + mark.word())
        .collect(Collectors.joining());
    return String.join(" ", words) + asked + state + marks;
  }

  static Fact fact(LocalDate day, Picture.Lifted set) {
    return new Fact(Fact.Kind.SET, Long.toString(set.id()), day, day(day) + ": " + set.lift().name() + " " + set(set));
  }

  static Fact fact(Picture.Answers answers) {
    return new Fact(Fact.Kind.CHECK_IN, Long.toString(answers.id()), answers.day(), day(answers.day()) + ": " + answers.said().words());
  }

  static Fact fact(String lift, Picture.Point point) {
    return new Fact(Fact.Kind.ESTIMATE, lift + "@" + point.day(), point.day(), day(point.day()) + ": estimated max " + about(point.max())
        + " ± " + number(point.sd().amountIn(point.sd().unit(), 3).doubleValue()));
  }

  static Fact fact(Picture.Session session, String words) {
    return new Fact(Fact.Kind.SESSION, Long.toString(session.id()), session.day(), day(session.day()) + ": " + words);
  }

  static Fact fact(Picture.AtWork method, String words) {
    return new Fact(Fact.Kind.METHOD, method.ref() + "@" + method.endsOn(), method.startsOn(), words);
  }

  static Fact line(Picture.Planned planned) {
    String words = planned.line().lift().name() + " " + planned.line().planned().work();
    return new Fact(Fact.Kind.LINE, planned.line().ref() + " " + planned.line().planned().work(), planned.session().day(),
        day(planned.session().day()) + ": " + words);
  }

  static String times(int count) {
    return switch (count) {
      case 1 -> "once";
      case 2 -> "twice";
      default -> Count.of(count, "time");
    };
  }

  /** The first letter small, as inside of a sentence. */
  static String inside(String words) {
    return words.isEmpty() ? words : Character.toLowerCase(words.charAt(0)) + words.substring(1);
  }
}
