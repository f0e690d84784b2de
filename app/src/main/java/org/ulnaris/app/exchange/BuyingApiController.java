package org.ulnaris.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.ulnaris.app.buying.BuyingService;

/** What to buy, for programs. */
@RestController
@RequestMapping(
        path = "/api/v1",
        produces = {MediaType.APPLICATION_JSON_VALUE, MediaType.APPLICATION_PROBLEM_JSON_VALUE})
class BuyingApiController {
    private final BuyingService buying;

    BuyingApiController(BuyingService buying) {
        this.buying = buying;
    }

    @Operation(summary = "What to buy for all open jobs, or for one, against what lies on the shelf")
    @GetMapping("/to-buy")
    BuyingModel.ToBuy toBuy(@RequestParam Optional<Long> job) {
        return BuyingModel.ToBuy.of(buying.list(job));
    }
}
