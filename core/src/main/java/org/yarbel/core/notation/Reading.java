package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;

/**
 * A line read out in words, such as '4 sets of 4 at 15 % under the single', so that the one who types hears what was
 * understood.
 */
public final class Reading {
  private Reading() {}

  /** A sentence without its full stop for each part, in their order. */
  public static List<String> of(WorkLine line) {
    List<String> sentences = new ArrayList<>();
    for (int i = 0; i < line.parts().size(); i++) {
      Part part = line.parts().get(i);
      List<String> pieces = new ArrayList<>();
      pieces.add(work(part) + heaviness(part, line.parts().subList(0, i)));
      part.options().stream().map(Reading::option).forEach(pieces::add);
      sentences.add(String.join(", ", pieces).replace(",,", ",").replaceFirst(",$", ""));
    }
    return sentences;
  }

  /** The whole line read out, a sentence a part: 'A single at RPE 8. 4 sets of 4 at 15 % under the single.' */
  public static String text(WorkLine line) {
    return of(line).stream().map(words -> Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".")
        .collect(Collectors.joining(" "));
  }

  private static String work(Part part) {
    String words = part.work().accept(WorkWords.INSTANCE);
    if (part.work() instanceof Work.Build && part.rpe() != null) {
      return words.replace("the RPE", "RPE " + part.rpe().from());
    }
    boolean interval = part.work() instanceof Work.Emom && part.option(Option.Every.class).isEmpty();
    return interval ? words + ", one every minute," : words;
  }

  private static String heaviness(Part part, List<Part> before) {
    String load = part.load() == null ? "" : part.load().accept(new LoadWords(topName(before)));
    RpeTarget rpe = part.rpe();
    if (rpe == null || part.work() instanceof Work.Build) {
      return part.load() == null ? "" : load;
    }
    String hard = "RPE " + rpe.toString().substring(1);
    boolean byRpe = part.load() == null && part.work().kind().loadedByRpe();
    return byRpe ? " at " + hard : load + ", which should feel like " + hard;
  }

  /** What a drop is from: the only set before it by its reps, else the top set. */
  private static String topName(List<Part> before) {
    List<Part> loaded = before.stream().filter(Part::loaded).toList();
    if (loaded.size() != 1) {
      return "the top set";
    }
    Work work = loaded.get(0).work();
    Integer reps = null;
    if (work instanceof Work.SetsOfReps sets && sets.sets() == 1) {
      reps = sets.reps().least();
    } else if (work instanceof Work.Max max) {
      reps = max.reps();
    }
    return reps == null || reps > 3 ? "the top set" : "the " + setName(reps);
  }

  private static String setName(int reps) {
    return switch (reps) {
      case 1 -> "single";
      case 2 -> "double";
      case 3 -> "triple";
      default -> "set of " + reps;
    };
  }

  private static String count(int count, String one, String more) {
    return count + " " + (count == 1 ? one : more);
  }

  /** A time in words: {@code 90 s}, {@code 3 min}, {@code 2:30 min}. */
  public static String time(int seconds) {
    if (seconds < 120) {
      return seconds + " s";
    }
    return (seconds % 60 == 0 ? Integer.toString(seconds / 60) : Option.time(seconds)) + " min";
  }

  private static String option(Option option) {
    return switch (option.kind()) {
      case IN -> "within " + time(((Option.In) option).seconds());
      case GAP -> time(((Option.Gap) option).seconds()) + " between the singles";
      case EVERY -> "one every " + time(((Option.Every) option).seconds());
      case REST -> time(((Option.Rest) option).seconds()) + " rest";
      case TEMPO -> tempo((Option.Tempo) option);
      case TURNS -> count(((Option.Turns) option).count(), "turn", "turns");
      case CAP -> "stopping at RPE " + ((Option.Cap) option).rpe();
      case UNTIL -> until((Option.Until) option);
      case CHAINS -> ((Option.Chains) option).mass().text() + " of chains at lock-out";
      case BANDS -> "bands pulling " + ((Option.Bands) option).slack().number() + " to "
          + ((Option.Bands) option).lockOut().text() + " from the bottom to lock-out";
      case REVERSE -> "hung in bands that hold " + ((Option.Reverse) option).held().text() + " at the bottom and nothing at the top";
      case AT -> ((Option.At) option).point() == Option.Point.TOP ? "meant at the top" : "meant at the bottom";
    };
  }

  private static String until(Option.Until until) {
    return until.rpe() != null
        ? "at most, until one is RPE " + until.rpe()
        : "at most, until one's estimate is " + Objects.requireNonNull(until.percent()).toPlainString() + " % under the day's best";
  }

  private static String tempo(Option.Tempo tempo) {
    String[] phases = {"down", "at the bottom", "up", "at the top"};
    List<String> words = new ArrayList<>();
    for (int i = 0; i < phases.length; i++) {
      Integer figure = tempo.figures().get(i);
      if (figure == null) {
        words.add(phases[i] + " as fast as possible");
      } else if (figure > 0 || i % 2 == 0) {
        words.add(figure + " s " + phases[i]);
      }
    }
    return String.join(", ", words);
  }

  private enum WorkWords implements Work.Visitor<String> {
    INSTANCE;

    @Override
    public String sets(Work.SetsOfReps work) {
      Reps reps = work.reps();
      if (reps instanceof Reps.Open) {
        return count(work.sets(), "open set", "open sets") + ", as many good reps as possible,";
      }
      if (reps instanceof Reps.AtLeast) {
        return work.sets() == 1
            ? "an open set of at least " + reps.least()
            : work.sets() + " sets of " + reps.least() + ", the last open,";
      }
      if (reps instanceof Reps.Exactly && Objects.requireNonNull(reps.least()) == 1) {
        return work.sets() == 1 ? "a single" : work.sets() + " singles";
      }
      String often = reps.most() == null ? String.valueOf(reps.least()) : reps.least() + " to " + reps.most();
      return count(work.sets(), "set", "sets") + " of " + often;
    }

    @Override
    public String build(Work.Build work) {
      return "rising " + (work.reps() == 1 ? "singles" : "sets of " + work.reps()) + " until one reaches the RPE; the last counts";
    }

    @Override
    public String max(Work.Max work) {
      return "up to the best " + setName(work.reps()) + " of the day";
    }

    @Override
    public String cluster(Work.Cluster work) {
      return count(work.sets(), "round", "rounds") + " of " + count(work.singles(), "single", "singles");
    }

    @Override
    public String density(Work.Density work) {
      return "as many singles as go, " + work.goal() + " wanted,";
    }

    @Override
    public String emom(Work.Emom work) {
      return count(work.sets(), "set", "sets") + " of " + work.reps();
    }

    @Override
    public String negative(Work.Negative work) {
      return count(work.sets(), "set", "sets") + " of " + work.reps() + " lowered slowly and helped up,";
    }

    @Override
    public String hold(Work.Hold work) {
      return count(work.sets(), "hold", "holds") + " of " + time(work.seconds());
    }

    @Override
    public String carry(Work.Carry work) {
      return count(work.sets(), "carry", "carries") + " of " + work.distance().toPlainString() + " " + work.unit().symbol();
    }

    @Override
    public String timed(Work.Timed work) {
      return count(work.sets(), "set", "sets") + " of as many reps as go in " + time(work.seconds());
    }

    @Override
    public String series(Work.Series work) {
      return work.masses().stream().map(Mass::number).collect(Collectors.joining(", ")) + " " + work.masses().get(0).unit()
          + ", one after another";
    }

    @Override
    public String warm(Work.Warm work) {
      return "a written warm-up: " + count(work.sets(), "set", "sets") + " of " + work.reps();
    }
  }

  private record LoadWords(String top) implements Load.Visitor<String> {
    @Override
    public String percent(Load.Percent load) {
      String max = load.basis() == null ? "" : " of " + (load.basis() == Basis.TODAY ? "today's" : "the " + load.basis().key()) + " max";
      String lift = load.lift() == null ? "" : (max.isEmpty() ? " of the max" : "") + " in the " + load.lift().replace('-', ' ');
      return " at " + range(load.from(), load.to()) + max + lift;
    }

    @Override
    public String shareOfTop(Load.ShareOfTop load) {
      return " at " + range(load.from(), load.to()) + " of " + top;
    }

    @Override
    public String mass(Load.OfMass load) {
      return " with " + load.mass().text();
    }

    @Override
    public String bodyMass(Load.BodyMass load) {
      return load.added() == null ? " with body mass" : " with body mass and " + load.added().text();
    }

    @Override
    public String drop(Load.Drop load) {
      String size = load.percent() != null ? load.percent().toPlainString() + " %" : Objects.requireNonNull(load.mass()).text();
      return load.each() ? ", each " + size + " under the one before" : " at " + size + " under " + top;
    }

    private static String range(BigDecimal from, @Nullable BigDecimal to) {
      return from.toPlainString() + (to == null ? "" : " to " + to.toPlainString()) + " %";
    }
  }
}
