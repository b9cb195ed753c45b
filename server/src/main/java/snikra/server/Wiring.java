package snikra.server;

import com.fasterxml.jackson.annotation.Nulls;
import jakarta.servlet.Filter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;
import javax.sql.DataSource;
import org.flywaydb.core.api.MigrationState;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.json.ProblemDetailJacksonMixin;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.server.devices.InstrumentDesk;
import snikra.server.http.BoundsFilter;
import snikra.server.http.LocalOnlyFilter;
import snikra.server.http.LogFilter;
import snikra.server.http.MustBeGiven;
import snikra.server.http.SeenText;
import snikra.server.http.ToldCurve;
import snikra.server.journal.DemoJournal;
import snikra.server.journal.Journal;
import snikra.server.journal.JournalRepository;
import snikra.server.keeping.Backups;
import snikra.server.keeping.Caretaker;
import snikra.server.keeping.Database;
import snikra.server.keeping.Disk;
import snikra.server.keeping.ForcedTransactions;
import snikra.server.keeping.Keeping;
import snikra.server.keeping.Upgrade;
import snikra.server.knives.Catalogue;
import snikra.server.knives.CatalogueRepository;
import snikra.server.knives.DemoTin;
import snikra.server.knives.FoundBy;
import snikra.server.knives.KnifeRepository;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedSearchRepository;
import snikra.server.knives.SavedSearches;
import snikra.server.knives.TrayEntry;
import snikra.server.ledger.DemoLedger;
import snikra.server.ledger.Ledger;
import snikra.server.ledger.LedgerRepository;
import snikra.server.ledger.StoryPurchases;
import snikra.server.parcel.Parcels;
import snikra.server.phone.Neighbourhood;
import snikra.server.phone.PhoneCamera;
import snikra.server.photos.PhotoNames;
import snikra.server.photos.PhotoRepository;
import snikra.server.photos.PhotoService;
import snikra.server.practice.GradingTable;
import snikra.server.practice.PracticeDesk;
import snikra.server.practice.PracticeRepository;
import snikra.server.quick.QuickDesk;
import snikra.server.reference.FiledStepRepository;
import snikra.server.reference.GradingRepository;
import snikra.server.reference.OwnReferences;
import snikra.server.reference.PackRepository;
import snikra.server.reference.ReferenceDesk;
import snikra.server.reference.Verdicts;
import snikra.server.sales.DemoSales;
import snikra.server.sales.SaleRepository;
import snikra.server.sales.SaleRooms;
import snikra.server.sales.SalesBook;
import snikra.server.schedules.SchedulePaper;
import snikra.server.schedules.ScheduleRepository;
import snikra.server.schedules.Schedules;
import snikra.server.trial.TrialDesk;
import snikra.server.wanted.DemoWants;
import snikra.server.wanted.WantRepository;
import snikra.server.wanted.WantedList;
import tools.jackson.databind.AnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/** All beans: services are plain classes and can be built in a test without a context. */
@Configuration(proxyBeanMethods = false)
class Wiring {
  /** Bodies of so many kilobytes are held at once: two of the largest photographs. */
  private static final int HELD_KB = 64 * 1024;

  /** So many requests are worked on at once. */
  private static final int AT_ONCE = 2 * Math.max(2, Runtime.getRuntime().availableProcessors());

  private static final long PATIENCE_MS = 4000;

  @Bean
  ReferenceDesk referenceDesk(
      PackRepository packs,
      GradingRepository grading,
      PlatformTransactionManager transactions,
      Environment environment) {
    // Invented makers must not stand among those of a real tray: there the collector asks for them.
    boolean demo = environment.getProperty("snikra.demo", Boolean.class, false);
    boolean examples = environment.getProperty("snikra.examples", Boolean.class, demo);
    Examiner shipped = new Examiner(ShippedShelf.load(), SnikraApplication.thisYear());
    return new ReferenceDesk(packs, grading, transactions, Clock.systemUTC(), shipped, examples);
  }

  @Bean
  OwnReferences ownReferences(
      FiledStepRepository steps, ReferenceDesk desk, PlatformTransactionManager transactions) {
    return new OwnReferences(steps, desk, transactions, Clock.systemUTC());
  }

  @Bean
  SalesBook salesBook(
      SaleRepository sales, ReferenceDesk desk, PlatformTransactionManager transactions) {
    return new SalesBook(sales, transactions, desk::sellBy, Clock.systemUTC());
  }

  @Bean
  SaleRooms saleRooms(ReferenceDesk desk, Environment environment, Path dataFolder) {
    boolean demo = environment.getProperty("snikra.demo", Boolean.class, false);
    return SaleRooms.of(
        dataFolder, demo, () -> desk.examiner().shelf(), Clock.system(ZoneId.systemDefault()));
  }

  @Bean
  Supplier<Examiner> examiner(ReferenceDesk desk) {
    return desk::examiner;
  }

  @Bean
  JsonMapper jsonMapper() {
    JsonMapper.Builder builder = Json.mapper().rebuild();
    return builder
        .annotationIntrospector(
            AnnotationIntrospector.pair(new MustBeGiven(), builder.annotationIntrospector()))
        .changeDefaultNullHandling(nulls -> nulls.withContentNulls(Nulls.FAIL))
        .addModule(new SimpleModule().addDeserializer(String.class, new SeenText()))
        .addMixIn(ProblemDetail.class, ProblemDetailJacksonMixin.class)
        .addMixIn(DatingVerdict.class, ToldCurve.class)
        .build();
  }

  @Bean
  Path dataFolder(Environment environment) {
    return Path.of(environment.getRequiredProperty("snikra.data"));
  }

  @Bean(destroyMethod = "close")
  Database dataSource(Environment environment, Path dataFolder) {
    return new Database(
        environment.getRequiredProperty("spring.datasource.url"),
        dataFolder.resolve("snikra.mv.db"));
  }

  @Bean(destroyMethod = "close")
  Disk disk(Database database, Environment environment, Path dataFolder) {
    return new Disk(
        database,
        environment.getRequiredProperty("spring.datasource.url"),
        Disk.freeIn(dataFolder));
  }

  @Bean
  PlatformTransactionManager transactionManager(Disk disk) {
    return new ForcedTransactions(disk);
  }

  @Bean
  Backups backups(DataSource database, Disk disk, Path dataFolder) {
    return new Backups(database, disk, dataFolder, Clock.systemUTC());
  }

  @Bean
  Verdicts verdicts(ReferenceDesk desk) {
    return new Verdicts(desk::examiner);
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

  @Bean(destroyMethod = "close")
  Catalogue catalogue(
      CatalogueRepository rows,
      KnifeRepository knives,
      ReferenceDesk desk,
      Verdicts verdicts,
      PlatformTransactionManager transactions) {
    return new Catalogue(
        rows, knives, desk::examiner, () -> Build.with(desk.fingerprint()), verdicts, transactions);
  }

  @Bean(destroyMethod = "shutdown")
  ExecutorService journalHand() {
    return Executors.newSingleThreadExecutor(task -> new Thread(task, "journal"));
  }

  @Bean(destroyMethod = "close")
  Journal journal(
      JournalRepository entries,
      KnifeService knives,
      Verdicts verdicts,
      ReferenceDesk desk,
      PlatformTransactionManager transactions,
      ExecutorService journalHand) {
    return new Journal(
        entries,
        knives,
        verdicts,
        desk::examiner,
        desk::fingerprint,
        transactions,
        journalHand,
        Clock.systemUTC());
  }

  @Bean
  StoryPurchases storyPurchases(Catalogue catalogue, Ledger ledger) {
    return new StoryPurchases(catalogue, ledger, ShippedShelf.exchangeRates());
  }

  @Bean
  Ledger ledger(LedgerRepository revisions, PlatformTransactionManager transactions) {
    return new Ledger(revisions, transactions, Clock.systemUTC());
  }

  @Bean
  Schedules schedules(
      ScheduleRepository kept,
      Catalogue catalogue,
      ReferenceDesk desk,
      PlatformTransactionManager transactions) {
    return new Schedules(
        kept, catalogue, desk::examiner, transactions, Clock.system(ZoneId.systemDefault()));
  }

  @Bean
  SchedulePaper schedulePaper(PhotoService photos) {
    return new SchedulePaper(photos);
  }

  /** What goes for good: from the tray, and all that hangs on it. */
  @Bean
  Farewell farewell(KnifeService knives, PhotoService photos, Journal journal) {
    return new Farewell(knives, photos, journal);
  }

  @Bean(destroyMethod = "close")
  Caretaker caretaker(
      Disk disk,
      Backups backups,
      Farewell farewell,
      PhotoService photos,
      SalesBook sales,
      Environment environment) {
    boolean demo = environment.getProperty("snikra.demo", Boolean.class, false);
    List<Runnable> duties =
        new ArrayList<>(
            List.of(
                farewell::letGoWhatIsDue,
                photos::throwAway,
                () -> sales.throwAway(photos::forgetOfSale)));
    if (!demo) {
      duties.add(backups::daily);
    }
    return new Caretaker(disk, duties);
  }

  @Bean
  Keeping keeping(
      Path dataFolder,
      Disk disk,
      Backups backups,
      Caretaker caretaker,
      KnifeService knives,
      Catalogue catalogue,
      PhotoService photos,
      SalesBook sales,
      ReferenceDesk desk) {
    return new Keeping(
        dataFolder,
        disk,
        backups,
        caretaker,
        () -> {
          PhotoService.OriginalsChecked photographs = photos.check();
          return new Keeping.Checked(
              knives.all().size(),
              knives.unreadable(),
              photographs.originals(),
              photographs.lost(),
              photographs.changed());
        },
        rereading(desk, sales, catalogue));
  }

  // What is held in memory of what lies in the database.
  private static Runnable rereading(ReferenceDesk desk, SalesBook sales, Catalogue catalogue) {
    return () -> {
      desk.reopen();
      sales.reopen();
      catalogue.forget();
    };
  }

  @Bean
  SavedSearches savedSearches(
      SavedSearchRepository searches,
      Catalogue catalogue,
      PlatformTransactionManager transactions) {
    return new SavedSearches(searches, catalogue, transactions);
  }

  @Bean
  WantedList wantedList(
      WantRepository wants,
      ReferenceDesk desk,
      Catalogue catalogue,
      PlatformTransactionManager transactions) {
    return new WantedList(wants, desk, catalogue, transactions);
  }

  @Bean
  QuickDesk quickDesk(ReferenceDesk desk, WantedList wanted, SalesBook sales) {
    return new QuickDesk(desk, wanted, sales, Clock.system(ZoneId.systemDefault()));
  }

  @Bean
  PracticeDesk practiceDesk(
      PracticeRepository rounds,
      ReferenceDesk desk,
      KnifeService knives,
      Catalogue catalogue,
      PlatformTransactionManager transactions) {
    Clock clock = Clock.system(ZoneId.systemDefault());
    return new PracticeDesk(rounds, desk, knives, catalogue, transactions, clock);
  }

  @Bean
  GradingTable gradingTable(
      PracticeRepository rounds, ReferenceDesk desk, PlatformTransactionManager transactions) {
    return new GradingTable(rounds, desk, transactions, Clock.system(ZoneId.systemDefault()));
  }

  @Bean
  Parcels parcels(
      DataSource database,
      PlatformTransactionManager transactions,
      Backups backups,
      Disk disk,
      Path dataFolder,
      Catalogue catalogue,
      SalesBook sales,
      ReferenceDesk desk) {
    return new Parcels(
        new JdbcTemplate(database),
        transactions,
        backups,
        disk,
        dataFolder,
        rereading(desk, sales, catalogue),
        Clock.systemUTC());
  }

  @Bean(destroyMethod = "close")
  TrialDesk trialDesk(KnifeService knives, ReferenceDesk desk, OwnReferences own) {
    return new TrialDesk(knives, desk, own);
  }

  @Bean
  PhotoService photoService(
      PhotoRepository photos,
      KnifeService knives,
      Disk disk,
      Path dataFolder,
      PlatformTransactionManager transactions) {
    return new PhotoService(
        photos, knives, disk, dataFolder.resolve("photos"), transactions, Clock.systemUTC());
  }

  @Bean
  PhotoNames photoNames(Catalogue catalogue) {
    return new PhotoNames(
        catalogue::numbers,
        words ->
            catalogue.entries(FoundBy.of(words, new String[0])).stream()
                .map(TrayEntry::id)
                .toList());
  }

  @Bean(destroyMethod = "close")
  PhoneCamera phoneCamera(
      KnifeService knives,
      PhotoService photos,
      Verdicts verdicts,
      Path dataFolder,
      Environment environment) {
    String told = environment.getProperty("snikra.phone-address");
    return new PhoneCamera(
        knives,
        photos,
        verdicts,
        dataFolder.resolve("phone.p12"),
        told == null ? Neighbourhood::addresses : () -> told.isEmpty() ? List.of() : List.of(told),
        Clock.systemUTC());
  }

  // Before the first request is answered: a photograph that comes in meanwhile has no row yet, and
  // would be taken for one that was left behind.
  @Bean
  SmartInitializingSingleton sweptPhotographs(PhotoService photos) {
    return photos::sweep;
  }

  @Bean
  ApplicationRunner goesOnRounds(Caretaker caretaker, Environment environment) {
    boolean rounds = environment.getProperty("snikra.rounds", Boolean.class, true);
    return args -> {
      if (rounds) {
        caretaker.begin();
      }
    };
  }

  @Bean
  InstrumentDesk instrumentDesk() {
    return new InstrumentDesk(InstrumentDesk.standIns());
  }

  // Before the first page is served: whoever opens it finds the tin filled.
  @Bean
  SmartInitializingSingleton demoTin(
      KnifeService knives,
      Journal journal,
      SalesBook sales,
      Ledger ledger,
      ReferenceDesk desk,
      WantedList wanted,
      Environment environment) {
    boolean demo = environment.getProperty("snikra.demo", Boolean.class, false);
    return () -> {
      if (!demo) {
        return;
      }
      try {
        DemoSales.fill(sales, desk.examiner().shelf());
        DemoLedger.fill(ledger);
        DemoWants.fill(wanted);
        DemoJournal.fill(journal, DemoTin.fill(knives, desk.examiner().shelf()));
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    };
  }

  @Bean
  FilterRegistrationBean<LogFilter> logFilter() {
    return inOrder(new LogFilter(), 0);
  }

  @Bean
  FilterRegistrationBean<LocalOnlyFilter> localOnlyFilter() {
    return inOrder(new LocalOnlyFilter(), 1);
  }

  @Bean
  FilterRegistrationBean<BoundsFilter> boundsFilter(Environment environment) {
    Duration sending =
        environment.getProperty("snikra.most-sending", Duration.class, Duration.ofSeconds(20));
    return inOrder(new BoundsFilter(sending, HELD_KB, AT_ONCE, PATIENCE_MS), 2);
  }

  private static <T extends Filter> FilterRegistrationBean<T> inOrder(T filter, int place) {
    FilterRegistrationBean<T> registration = new FilterRegistrationBean<>(filter);
    registration.setOrder(place);
    return registration;
  }

  @Bean
  FlywayMigrationStrategy upgradesAreCopiedFirstAndNewerDatabasesRefused(
      DataSource database, Disk disk, Path dataFolder) {
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
      new Upgrade(new Backups(database, disk, dataFolder, Clock.systemUTC()), disk, dataFolder)
          .run(flyway);
    };
  }
}
