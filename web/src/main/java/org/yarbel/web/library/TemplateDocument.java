package org.yarbel.web.library;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;

/** A template as it is stored and exchanged: {@code docs/formats/template.schema.json}. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record TemplateDocument(String format, int version, String name, @Nullable String about, String scope, @Nullable Map<String, String> lifts,
    List<TemplateWeek> weeks) {
  static final String FORMAT = "yarbel-template";
  static final int VERSION = 1;

  /** A week. */
  record TemplateWeek(List<TemplateDay> days) {}

  /** A day, 1 is Monday. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record TemplateDay(int day, @Nullable List<GroupOf> groups, List<TemplateLine> lines) {}

  /**
   * Lines done by turns.
   *
   * @param again the part of the session they are done in once more, at its end; null when they are not
   */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record GroupOf(int number, String kind, @Nullable Integer rounds, @Nullable Integer restBetween, @Nullable Integer restRounds,
      @Nullable Integer limit, @Nullable String again) {
    static GroupOf of(int number, Group group, @Nullable SlotKind again) {
      return new GroupOf(number, group.kind().word().replace(' ', '-'), group.rounds(), group.restBetween(), group.restRounds(),
          group.limit(), again == null ? null : again.word());
    }

    @Nullable SlotKind secondTime() {
      return again == null ? null : kindOf(again);
    }

    Group group() {
      return new Group(Group.Kind.valueOf(kind.toUpperCase(Locale.ROOT).replace('-', '_')), rounds, restBetween, restRounds, limit);
    }
  }

  /** A line. */
  @JsonInclude(JsonInclude.Include.NON_NULL)
  record TemplateLine(String part, String lift, String work, @Nullable Integer group, @Nullable Boolean optional, @Nullable String reason,
      @Nullable String cues,
      @Nullable String mind) {
    SlotKind kind() {
      return kindOf(part);
    }
  }

  private static SlotKind kindOf(String part) {
    return SlotKind.valueOf(part.toUpperCase(Locale.ROOT).replace('-', '_'));
  }

  /** The keys of all lifts in it. */
  Set<String> liftKeys() {
    Set<String> keys = new TreeSet<>();
    weeks.forEach(week -> week.days().forEach(day -> day.lines().forEach(line -> keys.add(line.lift()))));
    return keys;
  }

  /** What a lift was called where it came from. */
  String called(String key) {
    return Optional.ofNullable(lifts).map(names -> names.get(key)).orElse(key);
  }

  /** The same with other lifts, by key. */
  TemplateDocument with(Map<String, String> mapped, Map<String, String> names) {
    List<TemplateWeek> all = new ArrayList<>();
    for (TemplateWeek week : weeks) {
      all.add(new TemplateWeek(week.days().stream()
          .map(day -> new TemplateDay(day.day(), day.groups(), day.lines().stream().map(line -> new TemplateLine(line.part(),
          mapped.getOrDefault(line.lift(), line.lift()), work(line.work(), mapped), line.group(), line.optional(), line.reason(),
              line.cues(), line.mind())).toList())).toList()));
    }
    return new TemplateDocument(format, version, name, about, scope, new TreeMap<>(names), all);
  }

  private static String work(String work, Map<String, String> mapped) {
    String text = work;
    for (Map.Entry<String, String> pair : mapped.entrySet()) {
      text = text.replaceAll("\\bof " + java.util.regex.Pattern.quote(pair.getKey()) + "(?![a-z0-9-])", "of " + pair.getValue());
    }
    return text;
  }

  /** The same under another name. */
  TemplateDocument named(String other) {
    return new TemplateDocument(format, version, other, about, scope, lifts, weeks);
  }

  int lineCount() {
    return weeks.stream().flatMap(week -> week.days().stream()).mapToInt(day -> day.lines().size()).sum();
  }
}
