package org.yarbel.web;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
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
    List<Long> boards = Collections.synchronizedList(new ArrayList<>());
    List<Long> cards = Collections.synchronizedList(new ArrayList<>());
    String board = "/lifters/" + app.lifter("Maren") + "/week";
    String card = "/sessions/" + app.session("Maren", TestApp.TODAY) + "/card";
    Client reader = Client.signIn(app, "coach");
    for (int i = 0; i < 40; i++) {
      reader.get(board);
      reader.get(card);
    }
    Thread reads = new Thread(() -> {
      while (!Thread.currentThread().isInterrupted()) {
        boards.add(timed(reader, board));
        cards.add(timed(reader, card));
        LockSupport.parkNanos(100_000_000);
      }
    });
    long from = System.nanoTime();
    reads.start();
    String at = coach.postFile("/records/files", Map.of("lifter", Long.toString(someone.id())), "log.csv", table).headers()
        .firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    System.out.printf(Locale.ROOT, "%d rows are there after %.1f s%n", ROWS, since(from));
    coach.get(at);
    coach.post(at + "/take", Map.of());
    until(app, "select count(*) from old_records where lifter_id = " + someone.id() + " and state = 'IN'", 1);
    System.out.printf(Locale.ROOT, "in the log after %.1f s%n", since(from));
    until(app, "select count(*) from job where ended is null", 0);
    reads.interrupt();
    reads.join();
    System.out.printf(Locale.ROOT, "maxes worked out after %.1f s; meanwhile the board median %d ms, p95 %d ms, a card median %d ms, p95 %d ms%n",
        since(from), part(boards, 50), part(boards, 95), part(cards, 50), part(cards, 95));
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
    return sorted.get(Math.min(sorted.size() - 1, sorted.size() * percent / 100));
  }
}
