package org.yarbel.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.support.StaticListableBeanFactory;
import org.springframework.mail.javamail.JavaMailSender;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.support.House;
import org.yarbel.web.support.TestApp;

/** Letters go by a server for mail; the one here is a few lines of RFC 5321 on this machine. */
@ExtendWith(TestApp.class)
class LettersTest {
  private static final class Post implements AutoCloseable {
    private final ServerSocket socket;
    private final List<String> said = new CopyOnWriteArrayList<>();
    private volatile boolean full;

    Post() throws IOException {
      socket = new ServerSocket(0, 5, InetAddress.getLoopbackAddress());
      Thread thread = new Thread(this::serve, "post");
      thread.setDaemon(true);
      thread.start();
    }

    private void serve() {
      while (!socket.isClosed()) {
        try (Socket one = socket.accept(); BufferedReader in = new BufferedReader(new InputStreamReader(one.getInputStream(),
            StandardCharsets.UTF_8)); OutputStream out = one.getOutputStream()) {
          answer(out, "220 here");
          boolean data = false;
          for (String line = in.readLine(); line != null; line = in.readLine()) {
            said.add(line);
            if (data) {
              data = !line.equals(".");
              if (!data) {
                answer(out, "250 kept");
              }
            } else if (line.equals("DATA")) {
              data = true;
              answer(out, "354 go on");
            } else if (line.startsWith("RCPT") && full) {
              answer(out, "452 the box is full");
            } else if (line.equals("QUIT")) {
              answer(out, "221 bye");
              break;
            } else {
              answer(out, "250 fine");
            }
          }
        } catch (IOException gone) {
          // the next one
        }
      }
    }

    private static void answer(OutputStream out, String line) throws IOException {
      out.write((line + "\r\n").getBytes(StandardCharsets.US_ASCII));
      out.flush();
    }

    @Override
    public void close() throws IOException {
      socket.close();
    }
  }

  private static Letters by(TestApp app, Post post) {
    JavaMailSenderImpl sender = new JavaMailSenderImpl();
    sender.setHost("127.0.0.1");
    sender.setPort(post.socket.getLocalPort());
    StaticListableBeanFactory beans = new StaticListableBeanFactory();
    beans.addBean("sender", sender);
    return new Letters(app.jdbc(), app.bean(TransactionTemplate.class), beans.getBeanProvider(JavaMailSender.class), "yarbel@club.example");
  }

  @Test
  void aLetterGoesAndKeepsNoText(TestApp app) throws IOException {
    House house = House.called(app, "Postal");
    app.jdbc().sql("update letter set sent_at = now() where sent_at is null").update();
    try (Post post = new Post()) {
      Letters letters = by(app, post);
      letters.write(house.clubId(), LetterTexts.password("odile@postal.example", "https://club.example/password/abc"));
      post.full = true;
      letters.send();
      Letters.Shown waits = letters.of(house.clubId()).get(0);
      assertThat(waits.sent()).isNull();
      assertThat(waits.failed()).as("told to owners").isNotEmpty();
      assertThat(waits.body()).as("for its recipient alone").isEmpty();
      post.full = false;
      letters.send();
      assertThat(letters.of(house.clubId()).get(0).sent()).as("not at once again").isNull();
      app.jdbc().sql("update letter set goes_at = now() where club_id = :c").param("c", house.clubId()).update();
      letters.send();
      assertThat(letters.of(house.clubId()).get(0).sent()).isNotNull();
      assertThat(post.said).contains("MAIL FROM:<yarbel@club.example>", "RCPT TO:<odile@postal.example>", "Subject: Another password for Yarbel",
          "https://club.example/password/abc");
      assertThat(app.jdbc().sql("select count(*) from letter where body like '%password/abc%'").query(Integer.class).single()).isZero();
    }
  }
}
