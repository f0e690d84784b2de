package org.ulnaris.app.shell;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.Part;
import java.io.IOException;
import java.lang.annotation.Annotation;
import java.math.BigInteger;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ThreadLocalRandom;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.jspecify.annotations.Nullable;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.RequestDataValueProcessor;
import org.springframework.web.util.WebUtils;

/**
 * One edit at a time: what an edit reads, checks and writes belongs together, and the shop is one process on one file. An edit waits until
 * its request has arrived whole, never before. The same press sent twice is done once; once its browser has sent another since, or a moment
 * has passed and anybody has, it is a new one: to delete, undo and delete again from one page deletes twice.
 */
@Configuration
class Edits {
    /** Field of every form that tells one page from another: the same press twice bears it twice. */
    static final String ONCE = "once";

    private static final Set<Class<? extends Annotation>> EDITS =
            Set.of(PostMapping.class, PutMapping.class, DeleteMapping.class);

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Turn turn() {
        return new Turn();
    }

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static DefaultPointcutAdvisor oneEditAtATime(Turn turn) {
        return Handlers.of(EDITS, new InTurn(turn));
    }

    private static final class InTurn implements MethodInterceptor {
        private final Turn turn;
        private final Cache<String, Done> last = Caffeine.newBuilder()
                .maximumSize(10_000)
                .expireAfterWrite(Duration.ofHours(1))
                .build();
        private long edits;

        InTurn(Turn turn) {
            this.turn = turn;
        }

        @Override
        public @Nullable Object invoke(MethodInvocation invocation) throws Throwable {
            return turn.take(() -> done(invocation));
        }

        private @Nullable Object done(MethodInvocation invocation) throws Throwable {
            Press press = Press.of(invocation.getMethod().getReturnType());
            String browser = browser();
            Done before = last.getIfPresent(browser);
            if (press != null && before != null && before.isOf(press, edits)) {
                return invocation.getMethod().getReturnType() == String.class
                        ? before.led()
                        : new ModelAndView(before.led());
            }
            edits++;
            last.invalidate(browser);
            Object result = invocation.proceed();
            String led = result instanceof ModelAndView view ? view.getViewName() : String.valueOf(result);
            if (press != null && led != null && led.startsWith("redirect:")) {
                last.put(browser, new Done(press, led, edits, System.nanoTime()));
            }
            return result;
        }
    }

    /** The last press of a browser that was done: where it led, the how manieth edit it was, and when, ns. */
    private record Done(Press press, String led, long edit, long atNs) {
        private static final long MOMENT_NS = Duration.ofSeconds(10).toNanos();

        boolean isOf(Press again, long edits) {
            return press.equals(again) && (edit == edits || System.nanoTime() - atNs < MOMENT_NS);
        }
    }

    /** Whose request is running, by the cookie of its forms; empty where it has none. */
    private static String browser() {
        Cookie token = RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes
                ? WebUtils.getCookie(attributes.getRequest(), SecurityConfig.TOKEN_COOKIE)
                : null;
        return token == null ? "" : token.getValue();
    }

    /** A form sent: where to, and all that it holds. */
    private record Press(String path, Map<String, List<String>> fields) {
        /** Null for what no form sent, for a form that is sent again with every change, and for answers that are no pages. */
        static @Nullable Press of(Class<?> answer) throws IOException, ServletException {
            if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes)
                    || (answer != String.class && answer != ModelAndView.class)) {
                return null;
            }
            HttpServletRequest request = attributes.getRequest();
            if (request.getParameter(ONCE) == null || request.getHeader("HX-Request") != null) {
                return null;
            }
            Map<String, List<String>> fields = new TreeMap<>();
            request.getParameterMap().forEach((name, values) -> fields.put(name, List.of(values)));
            fields.remove("_csrf");
            String type = request.getContentType();
            if (type != null && type.startsWith("multipart/")) {
                for (Part part : request.getParts()) {
                    byte[] content = part.getInputStream().readAllBytes();
                    fields.put("part " + part.getName(), List.of(content.length + " " + Arrays.hashCode(content)));
                }
            }
            return new Press(request.getRequestURI(), fields);
        }
    }

    /** Gives every form its {@link #ONCE}, beside the token that Spring Security adds. */
    @Bean
    static BeanPostProcessor onceInEveryForm() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof RequestDataValueProcessor other ? new Once(other) : bean;
            }
        };
    }

    private record Once(RequestDataValueProcessor other) implements RequestDataValueProcessor {
        private static final int RADIX = 36;

        @Override
        public String processAction(HttpServletRequest request, String action, String method) {
            return other.processAction(request, action, method);
        }

        @Override
        public String processFormFieldValue(
                HttpServletRequest request, @Nullable String name, String value, String type) {
            return other.processFormFieldValue(request, name, value, type);
        }

        @Override
        public @Nullable Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
            Map<String, String> fields = other.getExtraHiddenFields(request);
            if (fields == null || fields.isEmpty()) {
                return fields;
            }
            Map<String, String> all = new TreeMap<>(fields);
            Object page = request.getAttribute(Once.class.getName());
            if (page == null) {
                page = new BigInteger(64, ThreadLocalRandom.current()).toString(RADIX);
                request.setAttribute(Once.class.getName(), page);
            }
            all.put(ONCE, page.toString());
            return all;
        }

        @Override
        public String processUrl(HttpServletRequest request, String url) {
            return other.processUrl(request, url);
        }
    }
}
