package org.yarbel.web.card;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.web.form.Shown;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.session.SessionLog;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.session.SessionWord;

/**
 * What stands around the sets of a card.
 *
 * @param checkIn how the lifter came, in words; null where nothing was said
 * @param asks whether the check-in stands open: nobody was asked, and nothing is lifted yet
 * @param before the newest word of a coach since the session before; null without one
 * @param words between lifter and coach about this session
 * @param effort how hard it was and for how long, in words; empty where nobody said how hard
 * @param elsewhen when and where it was lifted, where not as planned; empty where as planned
 * @param extras what was done beside what was asked
 * @param forms by name, as they stand: with what was typed, or with what is known
 * @param begun whether anything is logged
 */
public record CardAround(@Nullable String checkIn, boolean asks, @Nullable WordView before, List<WordView> words, String effort,
    String elsewhen, List<ExtraView> extras, Map<String, Shown> forms, boolean begun) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  /** A word as it is read. */
  public record WordView(long id, String author, boolean byCoach, String day, String words, boolean read) {
    static WordView of(SessionWord word, ZoneId zone) {
      return new WordView(word.id(), word.author(), word.byCoach(), DAY.format(word.saidAt().atZone(zone)), word.words(),
          word.read());
    }
  }

  /** Sets of a line that was done beside the card: {@code Row: 80 kg × 10, 80 kg × 10}. */
  public record ExtraView(UUID line, String lift, List<String> sets) {}

  static CardAround of(CardService.Card card, CardView.Wanted wanted) {
    SessionNotes.Told told = card.told();
    SessionLog log = told.log();
    CheckIn said = told.said().orElse(null);
    boolean begun = !card.logged().isEmpty();
    Map<String, Shown> forms = new LinkedHashMap<>(known(card, said, log));
    forms.putAll(wanted.forms());
    return new CardAround(said == null || !said.any() ? null : said.words(), said == null && !begun && !card.ahead(),
        told.before() == null ? null : WordView.of(told.before(), card.zone()),
        told.words().stream().map(word -> WordView.of(word, card.zone())).toList(),
        effort(log), elsewhen(log), extras(card), forms, begun);
  }

  private static String effort(@Nullable SessionLog log) {
    SessionEffort effort = log == null ? null : log.effort();
    if (log == null || effort == null) {
      return "";
    }
    Integer minutes = log.minutes();
    return minutes == null ? effort.words() : effort.words() + " · " + minutes + " min · session load " + effort.load(minutes);
  }

  private static String elsewhen(@Nullable SessionLog log) {
    if (log == null) {
      return "";
    }
    LocalDate on = log.liftedOn();
    String day = on == null ? "" : "on " + DAY.format(on);
    return day + (day.isEmpty() || log.liftedAt().isEmpty() ? "" : ", ") + (log.liftedAt().isEmpty() ? "" : "at " + log.liftedAt());
  }

  private static List<ExtraView> extras(CardService.Card card) {
    Map<UUID, ExtraView> extras = new LinkedHashMap<>();
    card.logged().stream().filter(LoggedSetRow::extra).sorted(Comparator.comparingLong(LoggedSetRow::id)).forEach(row -> extras
        .computeIfAbsent(row.line(), line -> new ExtraView(line, card.lifts().ofKey(row.lift()).map(Lift::name).orElse(row.lift()),
            new ArrayList<>())).sets().add(row.words()));
    return List.copyOf(extras.values());
  }

  /** The forms with what is known. */
  private static Map<String, Shown> known(CardService.Card card, @Nullable CheckIn said, @Nullable SessionLog log) {
    Map<String, String> in = new LinkedHashMap<>();
    if (said != null) {
      in.put("sleep", said.sleep() == null ? "" : said.sleep() / 2 + (said.sleep() % 2 == 0 ? "" : ".5"));
      in.put("energy", text(said.energy()));
      in.put("joints", text(said.joints()));
      in.put("stress", text(said.stress()));
      int at = 1;
      for (Pain pain : said.pains()) {
        in.put("place." + at, pain.place().name());
        in.put("side." + at, pain.side() == null ? "" : pain.side().name());
        in.put("score." + at, Integer.toString(pain.score()));
        in.put("worse." + at, pain.worse());
        at++;
      }
    }
    Map<String, String> after = new LinkedHashMap<>();
    SessionEffort effort = log == null ? null : log.effort();
    after.put("effort", effort == null ? "" : Integer.toString(effort.rating()));
    after.put("minutes", text(log == null || log.minutes() == null ? minutes(card) : log.minutes()));
    Map<String, String> where = new LinkedHashMap<>();
    LocalDate on = log == null ? null : log.liftedOn();
    where.put("on", (on == null ? card.session().day() : on).toString());
    where.put("at", log == null ? "" : log.liftedAt());
    return Map.of("check-in", shown(in), "easier", shown(Map.of()), "end", keyed(after), "lifted", shown(where), "say", keyed(Map.of()),
        "extra", keyed(Map.of()));
  }

  /** One that may be sent more than once, with the key that tells one from the next. */
  private static Shown keyed(Map<String, String> fields) {
    Map<String, String> all = new LinkedHashMap<>(fields);
    all.put("key", UUID.randomUUID().toString());
    return shown(all);
  }

  private static Shown shown(Map<String, String> fields) {
    return new Shown(fields, Map.of(), Map.of());
  }

  private static String text(@Nullable Integer number) {
    return number == null ? "" : number.toString();
  }

  /** From the first entry to the last; null where that tells nothing. */
  private static @Nullable Integer minutes(CardService.Card card) {
    List<Instant> at = card.logged().stream().map(LoggedSetRow::loggedAt).sorted().toList();
    long minutes = at.size() < 2 ? 0 : Duration.between(at.get(0), at.get(at.size() - 1)).toMinutes();
    return minutes < 1 || minutes > SessionEffort.LONGEST ? null : Integer.valueOf((int) minutes);
  }

  /** A night of fewer hours is short. */
  public double shortNight() {
    return CheckIn.SHORT_UNDER / 2.0;
  }

  /** From here on pain marks a set. */
  public int painFrom() {
    return Pain.COUNTS_FROM;
  }

  /** The newest word, which an answer says it has seen; 0 without one. */
  public long seen() {
    return words.isEmpty() ? 0 : words.get(words.size() - 1).id();
  }

  /** The newest word of the other side that was not read; 0 without one. */
  public long unread(boolean coach) {
    long own = words.stream().filter(word -> word.byCoach() != coach && !word.read()).mapToLong(WordView::id).max().orElse(0);
    return own > 0 || coach || before == null || before.read() ? own : before.id();
  }
}
