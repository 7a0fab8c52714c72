package org.yarbel.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts Yarbel. The launcher gives port, database and mode. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class YarbelApplication {
  public static void main(String[] args) {
    SpringApplication.run(YarbelApplication.class, args);
  }
}
