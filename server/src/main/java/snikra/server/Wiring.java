package snikra.server;

import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import org.flywaydb.core.api.MigrationState;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.examination.Examiner;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.server.devices.InstrumentDesk;
import snikra.server.http.LocalOnlyFilter;
import snikra.server.journal.DemoJournal;
import snikra.server.journal.Journal;
import snikra.server.journal.JournalRepository;
import snikra.server.knives.DemoTin;
import snikra.server.knives.KnifeRepository;
import snikra.server.knives.KnifeService;
import snikra.server.photos.PhotoRepository;
import snikra.server.photos.PhotoService;
import snikra.server.reference.PackRepository;
import snikra.server.reference.ReferenceDesk;
import snikra.server.trial.TrialDesk;
import tools.jackson.databind.json.JsonMapper;

/** All beans: services are plain classes and can be built in a test without a context. */
@Configuration(proxyBeanMethods = false)
class Wiring {

  @Bean
  ReferenceDesk referenceDesk(PackRepository packs, PlatformTransactionManager transactions) {
    Examiner shipped = new Examiner(ShippedShelf.load(), SnikraApplication.thisYear());
    return new ReferenceDesk(packs, transactions, Clock.systemUTC(), shipped);
  }

  @Bean
  JsonMapper jsonMapper() {
    return Json.mapper()
        .rebuild()
        .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
        .build();
  }

  @Bean
  KnifeService knifeService(
      KnifeRepository knives,
      ReferenceDesk desk,
      PlatformTransactionManager transactions,
      ApplicationEventPublisher events) {
    return new KnifeService(
        knives, desk::examiner, transactions, events::publishEvent, Clock.systemUTC());
  }

  @Bean
  Journal journal(
      JournalRepository entries,
      KnifeService knives,
      ReferenceDesk desk,
      PlatformTransactionManager transactions) {
    return new Journal(entries, knives, desk::examiner, transactions, Clock.systemUTC());
  }

  @Bean(destroyMethod = "close")
  TrialDesk trialDesk(KnifeService knives, ReferenceDesk desk) {
    return new TrialDesk(knives, desk);
  }

  @Bean
  PhotoService photoService(PhotoRepository photos, KnifeService knives, Environment environment) {
    Path folder = Path.of(environment.getRequiredProperty("snikra.data"), "photos");
    return new PhotoService(photos, knives, folder, Clock.systemUTC());
  }

  @Bean
  ApplicationRunner photosThrownAway(PhotoService photos) {
    return args -> photos.throwAway();
  }

  @Bean
  InstrumentDesk instrumentDesk() {
    return new InstrumentDesk(InstrumentDesk.standIns());
  }

  @Bean
  ApplicationRunner demoTin(
      KnifeService knives, Journal journal, ReferenceDesk desk, Environment environment) {
    boolean demo = environment.getProperty("snikra.demo", Boolean.class, false);
    return args -> {
      if (demo) {
        DemoJournal.fill(journal, DemoTin.fill(knives, desk.examiner().shelf()));
      }
    };
  }

  @Bean
  FilterRegistrationBean<LocalOnlyFilter> localOnlyFilter() {
    return new FilterRegistrationBean<>(new LocalOnlyFilter());
  }

  @Bean
  FlywayMigrationStrategy refuseNewerDatabases() {
    return flyway -> {
      boolean newer =
          Arrays.stream(flyway.info().all())
              .anyMatch(
                  m ->
                      m.getState() == MigrationState.FUTURE_SUCCESS
                          || m.getState() == MigrationState.FUTURE_FAILED);
      if (newer) {
        throw new StartRefused(StartRefused.newer());
      }
      flyway.migrate();
    };
  }
}
