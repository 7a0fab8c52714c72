package org.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.openqa.selenium.By;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticator;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticatorOptions;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.support.Browser;
import org.yarbel.web.support.TestApp;

/** Passkeys with the browser's own stand-in for a device, at this machine's name: browsers give none to a bare number. */
@ExtendWith(TestApp.class)
class PasskeyTest {
  private static final Duration PATIENCE = Duration.ofSeconds(60);

  @Test
  void aPasskeyIsAddedSignsInByItselfAndIsTakenAway(TestApp app, Browser browser) {
    Owner make = app.bean(Owner.class);
    make.create(make.newClubId(), new Owner.Beginning("Keyed", ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Keyed Owner",
        "owner@keyed.example", "tarnbrook-demo"));
    ChromeDriver driver = browser.desk().driver();
    String at = app.url("").replace("127.0.0.1", "localhost");
    VirtualAuthenticator device = driver.addVirtualAuthenticator(new VirtualAuthenticatorOptions()
        .setProtocol(VirtualAuthenticatorOptions.Protocol.CTAP2).setTransport(VirtualAuthenticatorOptions.Transport.INTERNAL)
        .setHasResidentKey(true).setHasUserVerification(true).setIsUserVerified(true));
    try {
      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
      driver.get(at + "/login");
      driver.findElement(By.id("email")).sendKeys("owner@keyed.example");
      driver.findElement(By.id("password")).sendKeys("tarnbrook-demo");
      driver.findElement(By.cssSelector("form .btn-main")).click();
      until(driver, one -> !one.getCurrentUrl().contains("/login"));
      driver.get(at + "/account/steps");
      driver.findElement(By.id("label")).sendKeys("Key ring");
      driver.findElement(By.cssSelector("[data-passkey='add'] button")).click();
      until(driver, one -> one.getPageSource().contains("<b>Key ring</b>"));
      assertThat(device.getCredentials()).hasSize(1);
      assertThat(driver.getPageSource()).contains("None are left.");

      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
      driver.get(at + "/login");
      driver.findElement(By.id("email")).sendKeys("owner@keyed.example");
      driver.findElement(By.id("password")).sendKeys("tarnbrook-demo");
      driver.findElement(By.cssSelector("form .btn-main")).click();
      until(driver, one -> one.getCurrentUrl().endsWith("/login/second"));
      driver.findElement(By.cssSelector("[data-passkey='sign-in'] button")).click();
      until(driver, one -> !one.getCurrentUrl().contains("/login"));
      driver.get(at + "/people");
      assertThat(driver.getPageSource()).contains("Keyed Owner");

      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
      driver.get(at + "/login");
      driver.findElement(By.cssSelector("[data-passkey='sign-in'] button")).click();
      until(driver, one -> !one.getCurrentUrl().contains("/login"));
      driver.get(at + "/account/steps");
      driver.findElement(By.cssSelector(".devices input[name='current']")).sendKeys("tarnbrook-demo");
      driver.findElement(By.cssSelector(".devices button")).click();
      until(driver, one -> one.getPageSource().contains("lets nobody in any more"));

      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
      driver.get(at + "/login");
      driver.findElement(By.cssSelector("[data-passkey='sign-in'] button")).click();
      until(driver, one -> one.findElement(By.cssSelector("[data-passkey='sign-in'] [role='status']")).getText().contains("did not work"));
    } finally {
      driver.removeVirtualAuthenticator(device);
      driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
    }
  }

  private static void until(WebDriver driver, java.util.function.Function<WebDriver, Boolean> so) {
    new WebDriverWait(driver, PATIENCE).until(so);
  }
}
