package org.yarbel.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Yarbel. The launcher gives port, database and mode. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class YarbelApplication {
  public static void main(String[] args) {
    SpringApplication.run(YarbelApplication.class, args);
  }
}
