package org.ulnaris.app.shell;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.Part;
import java.io.IOException;
import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.math.BigInteger;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ThreadLocalRandom;
import java.util.concurrent.locks.ReentrantLock;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.jspecify.annotations.Nullable;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/**
 * One edit at a time: what an edit reads, checks and writes belongs together, and the shop is one process on one file. An edit waits until
 * its request has arrived whole, never before. The same press sent twice is done once.
 */
@Configuration
class Edits {
    /** Field of every form that tells one page from another: the same press twice bears it twice. */
    static final String ONCE = "once";

    private static final List<Class<? extends Annotation>> EDITS =
            List.of(PostMapping.class, PutMapping.class, DeleteMapping.class);

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static DefaultPointcutAdvisor oneEditAtATime() {
        DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(new EditMethods(), new InTurn());
        advisor.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return advisor;
    }

    private static final class EditMethods extends StaticMethodMatcherPointcut {
        @Override
        public boolean matches(Method method, Class<?> target) {
            return target.getName().startsWith("org.ulnaris.app.")
                    && EDITS.stream().anyMatch(edit -> AnnotatedElementUtils.hasAnnotation(method, edit))
                    && !AnnotatedElementUtils.hasAnnotation(method, KeepsNothing.class);
        }
    }

    private static final class InTurn implements MethodInterceptor {
        private final ReentrantLock turn = new ReentrantLock(true);
        private final Cache<Press, String> done = Caffeine.newBuilder()
                .maximumSize(10_000)
                .expireAfterWrite(Duration.ofHours(1))
                .build();

        @Override
        public @Nullable Object invoke(MethodInvocation invocation) throws Throwable {
            turn.lock();
            try {
                Press press = Press.of(invocation.getMethod().getReturnType());
                String before = press == null ? null : done.getIfPresent(press);
                if (before != null) {
                    return invocation.getMethod().getReturnType() == String.class ? before : new ModelAndView(before);
                }
                Object result = invocation.proceed();
                String led = result instanceof ModelAndView view ? view.getViewName() : String.valueOf(result);
                if (press != null && led != null && led.startsWith("redirect:")) {
                    done.put(press, led);
                }
                return result;
            } finally {
                turn.unlock();
            }
        }
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
