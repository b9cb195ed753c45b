package snikra.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.ledger.ExchangeRates.Quote;
import snikra.core.ledger.ExchangeRates.RatedCurrency;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.StoryEvent;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.provenance.StoryEvent.Source;

class ToldPurchaseTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 12, 1);
  private static final ExchangeRates RATES =
      new ExchangeRates(
          List.of(
              new RatedCurrency(
                  "EUR",
                  Quote.USD_PER_UNIT,
                  List.of(),
                  Map.of(),
                  Map.of(),
                  Map.of(2001, new BigDecimal("0.9")))));

  private static StoryEvent bought(String when, @Nullable String price, String currency) {
    return event(Kind.BOUGHT, when, null, Source.OWN_RECORD, price, currency);
  }

  private static StoryEvent event(
      Kind kind,
      @Nullable String when,
      @Nullable String holder,
      Source source,
      @Nullable String price,
      @Nullable String currency) {
    return new StoryEvent(
        kind,
        when == null ? null : EdtfDate.parse(when),
        holder,
        "a fair",
        source,
        price == null ? null : new BigDecimal(price),
        currency,
        "haggled");
  }

  private static ToldPurchase of(StoryEvent e, String currency) {
    return ToldPurchase.of("k1", e, currency, RATES, TODAY);
  }

  @Test
  void onlyWhatTheCollectionItselfPaidIsAPurchaseOfIts() {
    StoryEvent last = bought("2001-05", "45", "GBP");
    assertThat(
            ToldPurchase.in(
                List.of(
                    bought("1990", "20", "GBP"),
                    last,
                    event(Kind.BOUGHT, "2002", "Ada", Source.OWN_RECORD, "9", "GBP"),
                    event(Kind.BOUGHT, "2003", null, Source.FAMILY, "9", "GBP"),
                    event(Kind.FOUND, "2004", null, Source.OWN_RECORD, "9", "GBP"),
                    event(Kind.BOUGHT, null, null, Source.OWN_RECORD, "9", "GBP"),
                    bought("2005", null, "GBP"))))
        .contains(last);
    assertThat(ToldPurchase.in(List.of())).isEmpty();
  }

  @Test
  void itIsAnEntryWithTheKnifeAndWhereItCameFrom() {
    ToldPurchase told = of(bought("2001-05", "45.50", "GBP"), "GBP");
    assertThat(told.problem()).isNull();
    assertThat(told.entry().kind()).isEqualTo(LedgerEntry.Kind.BOUGHT);
    assertThat(told.entry().price()).isEqualByComparingTo("45.50");
    assertThat(told.entry().rate()).isNull();
    assertThat(told.entry().who()).isEqualTo("a fair");
    assertThat(told.entry().note()).isEqualTo("haggled");
    assertThat(told.entry().in()).singleElement().extracting("knife").isEqualTo("k1");
  }

  @Test
  void theSamePurchaseIsTheSameEntryHoweverItIsWritten() {
    ToldPurchase once = of(bought("2001-05", "45.50", "GBP"), "GBP");
    assertThat(of(bought("2001-05", "45.5", "GBP"), "GBP").id()).isEqualTo(once.id());
    assertThat(of(bought("2001-06", "45.50", "GBP"), "GBP").id()).isNotEqualTo(once.id());
    assertThat(once.entry().in().get(0).id()).isNotEqualTo(once.id());
  }

  @Test
  void inAnotherCurrencyItHasTheRateOfItsYear() {
    assertThat(of(bought("2001", "10", "EUR"), "USD").entry().rate()).isEqualByComparingTo("0.9");
    ToldPurchase unknown = of(bought("2001", "10", "XTS"), "USD");
    assertThat(unknown.problem()).extracting("field").isEqualTo("rate");
  }

  @Test
  void aDateThatMayBeOfTwoYearsIsNoDayOfPurchase() {
    assertThat(of(bought("2001/2003", "10", "GBP"), "GBP").problem())
        .extracting("field")
        .isEqualTo("date");
    assertThat(of(bought("2027", "10", "GBP"), "GBP").problem()).isNotNull();
  }
}
