package org.ulnaris.app.work;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.aopalliance.intercept.MethodInterceptor;
import org.aopalliance.intercept.MethodInvocation;
import org.jspecify.annotations.Nullable;
import org.springframework.aop.ProxyMethodInvocation;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.ulnaris.app.shell.Handlers;
import org.ulnaris.app.shell.Turn;

/**
 * A page shows one state. What it is made of is read piece by piece; where somebody edited a job that it read meanwhile, it is read again, and
 * the last time while nobody edits.
 */
@Configuration
class SettledPages {
    private static final int FREELY = 2;

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static DefaultPointcutAdvisor pagesOfOneState(Turn turn, ObjectProvider<Revisions> revisions) {
        return Handlers.of(Set.of(GetMapping.class), new ReadAgain(turn, revisions));
    }

    private record ReadAgain(Turn turn, ObjectProvider<Revisions> revisions) implements MethodInterceptor {
        @Override
        public @Nullable Object invoke(MethodInvocation invocation) throws Throwable {
            Set<String> given = Set.copyOf(model(invocation).keySet());
            for (int time = 0; time < FREELY; time++) {
                try (Revisions.Watch watch = revisions.getObject().watch()) {
                    try {
                        Object read = once(invocation);
                        if (!watch.isTorn()) {
                            return read;
                        }
                    } catch (RuntimeException e) {
                        if (!watch.isDisturbed()) {
                            throw e;
                        }
                    }
                }
                model(invocation).keySet().retainAll(given);
            }
            return turn.take(() -> once(invocation));
        }

        private static @Nullable Object once(MethodInvocation invocation) throws Throwable {
            return ((ProxyMethodInvocation) invocation).invocableClone().proceed();
        }

        private static Map<String, Object> model(MethodInvocation invocation) {
            for (Object argument : invocation.getArguments()) {
                if (argument instanceof Model model) {
                    return model.asMap();
                }
            }
            return new HashMap<>();
        }
    }
}
