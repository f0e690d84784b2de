package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PagedTest {
    /** Around the length of a page, and with a number that is not there. */
    @ParameterizedTest
    @CsvSource({
        "0, 1, 1, 1, 0",
        "9, 1, 1, 1, 9",
        "10, 1, 1, 1, 10",
        "11, 1, 1, 2, 10",
        "11, 2, 2, 2, 1",
        "11, 3, 2, 2, 1",
        "11, 0, 1, 2, 10",
        "11, -1, 1, 2, 10",
        "11, x, 1, 2, 10",
        "11, '', 1, 2, 10",
        "11, 99999999999, 1, 2, 10"
    })
    void aPageThatIsThereIsShown(int all, String asked, int number, int pages, int shown) {
        List<Integer> list = IntStream.range(0, all).boxed().toList();
        Paged<Integer> page = Paged.of(list, asked, 10);
        assertThat(page.number()).isEqualTo(number);
        assertThat(page.pages()).isEqualTo(pages);
        assertThat(page.items()).hasSize(shown);
    }

    @Test
    void everyItemStandsOnOnePage() {
        List<Integer> list = IntStream.range(0, 47).boxed().toList();
        assertThat(IntStream.rangeClosed(1, 5)
                        .mapToObj(
                                page -> Paged.of(list, String.valueOf(page), 10).items())
                        .flatMap(List::stream))
                .isEqualTo(list);
    }
}
