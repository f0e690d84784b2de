package org.ulnaris.app.shell;

import java.beans.PropertyEditorSupport;
import java.util.function.Function;
import org.springframework.web.bind.WebDataBinder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.InitBinder;

/** Ids and counts in addresses are plain digits: no hexadecimal, no plus, no digits of other scripts. */
@ControllerAdvice
class PlainNumbers {
    @InitBinder
    void read(WebDataBinder binder) {
        binder.registerCustomEditor(Long.class, new Plain(Long::valueOf));
        binder.registerCustomEditor(long.class, new Plain(Long::valueOf));
        binder.registerCustomEditor(Integer.class, new Plain(Integer::valueOf));
        binder.registerCustomEditor(int.class, new Plain(Integer::valueOf));
    }

    private static final class Plain extends PropertyEditorSupport {
        private final Function<String, Number> number;

        Plain(Function<String, Number> number) {
            this.number = number;
        }

        @Override
        public void setAsText(String text) {
            if (text.isEmpty()) {
                setValue(null);
            } else if (text.matches("-?[0-9]{1,18}")) {
                setValue(number.apply(text));
            } else {
                throw new IllegalArgumentException("no plain number");
            }
        }
    }
}
