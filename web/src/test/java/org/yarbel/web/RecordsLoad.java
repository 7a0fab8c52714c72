package org.yarbel.web;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/**
 * How long 200,000 rows of old records take to come in, and what a week board and a card take meanwhile. Not part of the tests: its name
 * keeps it out; {@code ./yarbel bench} runs it.
 */
@ExtendWith(TestApp.class)
class RecordsLoad {
  private static final int ROWS = 200_000;
  private static final int WARM = 100;
  private static final List<String> LIFTS = List.of("Squat", "Bench press", "Deadlift", "Overhead press", "Front squat", "Row",
      "Close-grip bench press", "Paused bench press", "Romanian deadlift", "Paused squat");

  private static byte[] table() {
    Random random = new Random(5);
    StringBuilder text = new StringBuilder("Date,Lift,Load kg,Reps,RPE\n");
    LocalDate day = LocalDate.of(2014, 1, 1);
    for (int row = 0; row < ROWS; day = day.plusDays(1)) {
      for (int lift = 0; lift < 4 && row < ROWS; lift++) {
        String name = LIFTS.get(random.nextInt(LIFTS.size()));
        for (int set = 0; set < 14 && row < ROWS; set++, row++) {
          text.append(day).append(',').append(name).append(',').append(60 + 5 * random.nextInt(20)).append(',').append(1 + random.nextInt(9))
              .append(',').append(random.nextBoolean() ? "8" : "").append('\n');
        }
      }
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  @Test
  void ofTwoHundredThousandRows(TestApp app) throws InterruptedException {
    Someone someone = Someone.called(app, "Archive", Map.of());
    Client coach = someone.coach();
    coach.get(someone.at("/records"));
    byte[] table = table();
    String board = "/lifters/" + app.lifter("Maren") + "/week";
    String card = "/sessions/" + app.session("Maren", TestApp.TODAY) + "/card";
    Client reader = Client.signIn(app, "coach");
    Phase quiet = new Phase("before it");
    for (int i = 0; i < 3 * WARM; i++) {
      long took = timed(reader, board);
      long other = timed(reader, card);
      if (i >= 2 * WARM) {
        quiet.boards.add(took);
        quiet.cards.add(other);
      }
    }
    quiet.print();
    AtomicReference<Phase> now = new AtomicReference<>(new Phase("uploaded and looked at"));
    Thread reads = new Thread(() -> {
      for (Phase phase = now.get(); phase != null; phase = now.get()) {
        phase.boards.add(timed(reader, board));
        phase.cards.add(timed(reader, card));
        LockSupport.parkNanos(100_000_000);
      }
    });
    long from = System.nanoTime();
    reads.start();
    String at = coach.postFile("/records/files", Map.of("lifter", Long.toString(someone.id())), "log.csv", table).headers()
        .firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    List<Phase> phases = new ArrayList<>();
    phases.add(next(now, "read", from));
    coach.get(at);
    coach.post(at + "/take", Map.of());
    until(app, "select count(*) from old_records where lifter_id = " + someone.id() + " and chunks_done >= chunks - 1", 1);
    phases.add(next(now, "put into the log", from));
    until(app, "select count(*) from old_records where lifter_id = " + someone.id() + " and state = 'IN'", 1);
    phases.add(next(now, "maxes worked out", from));
    until(app, "select count(*) from job where ended is null", 0);
    phases.add(next(now, null, from));
    reads.join();
    phases.forEach(Phase::print);
    Phase all = new Phase("all of it");
    phases.forEach(one -> {
      all.boards.addAll(one.boards);
      all.cards.addAll(one.cards);
    });
    all.until = since(from);
    all.print();
  }

  private static Phase next(AtomicReference<Phase> now, @Nullable String name, long from) {
    Phase ended = now.getAndSet(name == null ? null : new Phase(name));
    ended.until = since(from);
    return ended;
  }

  /** A part of the way in, and what pages took meanwhile. */
  private static final class Phase {
    private final String name;
    private final List<Long> boards = Collections.synchronizedList(new ArrayList<>());
    private final List<Long> cards = Collections.synchronizedList(new ArrayList<>());
    private double until;

    Phase(String name) {
      this.name = name;
    }

    void print() {
      System.out.printf(Locale.ROOT, "%s after %.1f s; the board median %d ms, p95 %d ms, a card median %d ms, p95 %d ms%n", name, until,
          part(boards, 50), part(boards, 95), part(cards, 50), part(cards, 95));
    }
  }

  private static void until(TestApp app, String count, int wanted) {
    while (app.jdbc().sql(count).query(Integer.class).single() != wanted) {
      LockSupport.parkNanos(100_000_000);
    }
  }

  private static double since(long from) {
    return (System.nanoTime() - from) / 1e9;
  }

  private static long timed(Client reader, String path) {
    long from = System.nanoTime();
    reader.get(path);
    return (System.nanoTime() - from) / 1_000_000;
  }

  private static long part(List<Long> all, int percent) {
    List<Long> sorted = all.stream().sorted().toList();
    return sorted.isEmpty() ? 0 : sorted.get(Math.min(sorted.size() - 1, sorted.size() * percent / 100));
  }
}
