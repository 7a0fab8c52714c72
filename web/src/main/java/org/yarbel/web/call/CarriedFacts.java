package org.yarbel.web.call;

import java.util.Set;
import java.util.function.LongUnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.Fact;
import org.yarbel.web.club.CarriedDocument;
import org.yarbel.web.column.CoreJson;

/** What a call rests on is told apart by the numbers of rows: in the call itself, and in the list by which it is known again. */
final class CarriedFacts {
  private static final Set<Fact.Kind> ROWS = Set.of(Fact.Kind.SET, Fact.Kind.CHECK_IN, Fact.Kind.COMPLAINT, Fact.Kind.SESSION,
      Fact.Kind.WEIGH_IN);
  private static final Set<String> PREFIXES = ROWS.stream().map(kind -> new Fact(kind, "", java.time.LocalDate.EPOCH, "").key())
      .collect(Collectors.toSet());

  private CarriedFacts() {}

  /** The number at the beginning of what a row is known by, changed; what follows it stays. */
  private static String changed(String id, LongUnaryOperator number) {
    int end = 0;
    while (end < id.length() && Character.isDigit(id.charAt(end))) {
      end++;
    }
    return end == 0 || end > 18 ? id : number.applyAsLong(Long.parseLong(id.substring(0, end))) + id.substring(end);
  }

  /** The call. */
  @Component
  static final class InCall implements CarriedDocument {
    private final CoreJson json;

    InCall(CoreJson json) {
      this.json = json;
    }

    @Override
    public String table() {
      return "coach_call";
    }

    @Override
    public String column() {
      return "document";
    }

    @Override
    public String with(String document, LongUnaryOperator number) {
      Call call = json.read(document, Call.class);
      return json.write(new Call(call.rule(), call.lift(), call.about(), call.sentence(), call.facts().stream().map(fact -> ROWS
          .contains(fact.kind()) ? new Fact(fact.kind(), changed(fact.id(), number), fact.day(), fact.words(), fact.news()) : fact)
              .toList(),
          call.confidence(), call.urgency(), call.safe(), call.proposals()));
    }
  }

  /** The list. */
  @Component
  static final class InList implements CarriedDocument {
    @Override
    public String table() {
      return "coach_call";
    }

    @Override
    public String column() {
      return "facts";
    }

    @Override
    public String with(String document, LongUnaryOperator number) {
      return document.lines().map(line -> PREFIXES.stream().filter(line::startsWith).findFirst()
          .map(prefix -> prefix + changed(line.substring(prefix.length()), number)).orElse(line)).sorted()
              .collect(Collectors.joining("\n"));
    }
  }
}
