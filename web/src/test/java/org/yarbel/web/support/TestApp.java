package org.yarbel.web.support;

import java.time.LocalDate;
import java.util.Map;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.yarbel.web.YarbelApplication;

/**
 * Starts the real application with the demo club once for all tests of a process, on a Monday in March, and hands it to them.
 *
 * <p>Plain {@code SpringApplication.run}: Spring's own test extension needs JUnit 6. Nothing is mocked.
 */
public final class TestApp implements BeforeAllCallback, ParameterResolver {
  /** The day it is in the tests. */
  public static final LocalDate TODAY = LocalDate.of(2026, 3, 2);

  /** The address of a proxy whose word is believed. */
  public static final String PROXY = "127.0.0.9";

  private static TestApp running;

  private final ConfigurableApplicationContext context;
  private final int port;

  public TestApp() {
    this.context = null;
    this.port = 0;
  }

  private TestApp(ConfigurableApplicationContext context) {
    this.context = context;
    this.port = Integer.parseInt(context.getEnvironment().getRequiredProperty("local.server.port"));
  }

  /** The running application. */
  public static synchronized TestApp running() {
    if (running == null) {
      Map<String, String> database = TestDatabase.start();
      running = new TestApp(new SpringApplication(YarbelApplication.class, SqlMeter.class).run("--server.port=0", "--yarbel.demo=true",
          "--yarbel.today=" + TODAY, "--yarbel.trusted-proxies=" + PROXY, "--spring.datasource.url=" + database.get("url"),
          "--spring.datasource.username=yarbel", "--spring.datasource.password=" + database.get("password"),
          "--spring.flyway.url=" + database.get("url"), "--spring.flyway.user=yarbel_owner", "--spring.flyway.password="
          + database.get("owner"),
          "--spring.main.register-shutdown-hook=false", "--spring.jpa.properties.hibernate.generate_statistics="
          + !Boolean.getBoolean("load"), "--logging.level.org.hibernate.engine.internal.StatisticalLoggingSessionEventListener=warn"));
    }
    return running;
  }

  @Override
  public void beforeAll(ExtensionContext extension) {
    running();
  }

  /** Where it is reached. */
  int port() {
    return port;
  }

  public String url(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  /** The calls of our own controllers; health has a mapping beside. */
  public RequestMappingHandlerMapping mappings() {
    return context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
  }

  public JdbcClient jdbc() {
    return bean(JdbcClient.class);
  }

  /** The database as its owner, who may change tables: the application's own role may not. */
  public DataSource owner() {
    Environment settings = context.getEnvironment();
    return new DriverManagerDataSource(settings.getRequiredProperty("spring.flyway.url"),
        settings.getRequiredProperty("spring.flyway.user"), settings.getRequiredProperty("spring.flyway.password"));
  }

  /** The id of a lifter of the demo, by the beginning of the name. */
  public long lifter(String name) {
    return jdbc().sql("select id from lifter where name like :name || '%'").param("name", name).query(Long.class).single();
  }

  /** The id of the demo's first place, as an address or a form names it. */
  public String hall() {
    return jdbc().sql("select min(p.id) from place p join demo_week d on d.club_id = p.club_id").query(String.class).single();
  }

  /** The id of a lifter's session on a day. */
  public long session(String name, LocalDate day) {
    return jdbc().sql("select id from training_session where lifter_id = :lifter and day = :day")
        .param("lifter", lifter(name)).param("day", day).query(Long.class).single();
  }

  /** What a line is known by on cards and outside. */
  public String line(long slot) {
    return jdbc().sql("select ref::text from slot where id = :id").param("id", slot).query(String.class).single();
  }

  @Override
  public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
    return parameter.getParameter().getType() == TestApp.class || parameter.getParameter().getType() == Browser.class;
  }

  @Override
  public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
    return parameter.getParameter().getType() == TestApp.class ? running() : Browser.of(running());
  }
}
