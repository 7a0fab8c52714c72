package org.yarbel.web.runway;

import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Block;
import org.yarbel.core.plan.cycle.Purpose;
import org.yarbel.core.plan.cycle.Use;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.form.Typed;

/** The form of a block: what it shows, and what was typed of it. */
final class RunwayForms {
  private static final int MOST_USES = 12;

  private RunwayForms() {}

  /** A day of the week to tick. */
  record BlockDay(String name, String word, boolean ticked) {}

  /** A parameter of a method. */
  record BlockField(String key, String words, String value, @Nullable String error) {}

  /** How a lift is trained. */
  record UseForm(int at, String lift, String method, String title, List<BlockDay> days, List<BlockField> fields, @Nullable String error) {}

  /** A block. */
  record BlockForm(int no, String purpose, String title, String meaning, String weeks, String every, String easy, String basis,
      List<UseForm> uses, Map<String, String> errors) {
    public @Nullable String error(String field) {
      return errors.get(field);
    }

    /** The days to tick for one more lift. */
    public List<BlockDay> weekdays() {
      return boxes(Set.of());
    }
  }

  static BlockForm of(Block block, Catalogue lifts) {
    List<UseForm> uses = new ArrayList<>();
    for (Use use : block.uses()) {
      uses.add(use(uses.size(), lifts.ofKey(use.lift()).map(Lift::name).orElse(use.lift()), use.method(), use.days(),
          use.settings(), Map.of(), null));
    }
    return new BlockForm(block.no(), block.purpose().name(), head(block), block.purpose().meaning(),
        Integer.toString(block.weeks()), block.every() == 0 ? "" : Integer.toString(block.every()), block.easy().name(),
        block.basis() == null ? "" : block.basis().name(), uses, Map.of());
  }

  /** The block as it stands, whatever is typed over it: "Peak, 3 weeks". */
  private static String head(Block block) {
    return title(block.purpose()) + ", " + block.weeks() + (block.weeks() == 1 ? " week" : " weeks");
  }

  static String title(Purpose purpose) {
    return purpose.word().substring(0, 1).toUpperCase(Locale.ROOT) + purpose.word().substring(1);
  }

  private static UseForm use(int at, String lift, Method method, Set<DayOfWeek> days, Map<String, String> settings,
      Map<String, String> errors, @Nullable String error) {
    List<BlockField> fields = method.rule().parameters().stream().filter(parameter -> !Block.derives(method, parameter.key()))
        .map(parameter -> new BlockField(parameter.key(), parameter.words(),
            settings.getOrDefault(parameter.key(), parameter.fallback()), errors.get(parameter.key()))).toList();
    return new UseForm(at, lift, method.name(), method.title(), boxes(days), fields, error);
  }

  private static List<BlockDay> boxes(Set<DayOfWeek> ticked) {
    return Arrays.stream(DayOfWeek.values())
        .map(day -> new BlockDay(day.name(), day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH), ticked.contains(day))).toList();
  }

  /** What was read of a form: the block, or the form again with what is wrong. */
  record BlockRead(Optional<Block> block, BlockForm form) {}

  /**
   * Reads the form of a block.
   *
   * @param days ticked, by the number of the use
   */
  static BlockRead read(Block stored, Typed typed, Map<Integer, Set<DayOfWeek>> days, Catalogue lifts) {
    Integer weeks = typed.whole("weeks", "The weeks", 1, Block.MOST_WEEKS);
    if (weeks == null) {
      typed.wrong("weeks", "Write how many weeks it has, from 1 to " + Block.MOST_WEEKS + ".");
    }
    Integer every = typed.whole("every", "The weeks up to an easy one", 1, Block.MOST_WEEKS);
    Deload easy = typed.choice("easy", Deload.class).orElse(stored.easy());
    Basis basis = typed.choice("basis", Basis.class).filter(chosen -> chosen != Basis.TODAY).orElse(null);
    Purpose purpose = typed.choice("purpose", Purpose.class).orElse(stored.purpose());
    List<Use> uses = new ArrayList<>();
    List<UseForm> forms = new ArrayList<>();
    boolean fine = true;
    for (int at = 0; at < MOST_USES; at++) {
      String name = typed.text("lift-" + at);
      if (name.isEmpty()) {
        continue;
      }
      int index = at;
      Optional<Lift> lift = lifts.named(name);
      Method method = typed.choice("method-" + at, Method.class).orElse(Method.RISING);
      Set<DayOfWeek> on = days.getOrDefault(at, EnumSet.noneOf(DayOfWeek.class));
      Map<String, String> fields = new LinkedHashMap<>();
      method.rule().parameters().forEach(parameter -> {
        if (typed.has("p-" + index + "-" + parameter.key())) {
          fields.put(parameter.key(), typed.text("p-" + index + "-" + parameter.key()));
        }
      });
      // another method than the form was shown for starts from its defaults
      boolean same = typed.text("was-" + at).equals(method.name());
      Settings.Checked checked = Settings.check(method, same ? fields : Map.of(), lifts);
      String error = lift.map(one -> on.isEmpty() ? "Tick at least one day for the " + one.name().toLowerCase(Locale.ROOT) + "." : null)
          .orElse(lift.isEmpty() ? lifts.unknown(name) : null);
      fine &= error == null && checked.errors().isEmpty();
      forms.add(use(forms.size(), name, method, on, same ? fields : checked.settings().texts(), checked.errors(), error));
      if (error == null && checked.errors().isEmpty()) {
        uses.add(new Use(lift.orElseThrow().key(), method, set(method, checked.settings().texts(), same ? fields : Map.of()), on));
      }
    }
    BlockForm form = new BlockForm(stored.no(), purpose.name(), head(stored), purpose.meaning(), typed.text("weeks"),
        typed.text("every"), easy.name(), basis == null ? "" : basis.name(), forms, typed.errors());
    return new BlockRead(!fine || !typed.fine() || weeks == null ? Optional.empty()
        : Optional.of(new Block(stored.no(), purpose, weeks, every == null ? 0 : every, easy, basis, uses)), form);
  }

  /** Only what differs from the method's defaults is kept, so that better defaults reach old plans. */
  private static Map<String, String> set(Method method, Map<String, String> texts, Map<String, String> typed) {
    Map<String, String> usual = Settings.defaults(method).texts();
    Map<String, String> set = new HashMap<>();
    texts.forEach((key, text) -> {
      if (typed.containsKey(key) && !text.equals(usual.get(key))) {
        set.put(key, text);
      }
    });
    return set;
  }
}
