package org.ulnaris.app.shell;

import java.lang.annotation.Annotation;
import java.lang.reflect.Method;
import java.util.Set;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.StaticMethodMatcherPointcut;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;

/** Methods of the application that answer requests of some kinds, but for those that {@link KeepsNothing}. */
public final class Handlers extends StaticMethodMatcherPointcut {
    private final Set<Class<? extends Annotation>> kinds;

    private Handlers(Set<Class<? extends Annotation>> kinds) {
        this.kinds = kinds;
    }

    /** Has them all pass {@code around} before anything else. */
    public static DefaultPointcutAdvisor of(Set<Class<? extends Annotation>> kinds, MethodInterceptor around) {
        DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(new Handlers(kinds), around);
        advisor.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return advisor;
    }

    @Override
    public boolean matches(Method method, Class<?> target) {
        return target.getName().startsWith("org.ulnaris.app.")
                && kinds.stream().anyMatch(kind -> AnnotatedElementUtils.hasAnnotation(method, kind))
                && !AnnotatedElementUtils.hasAnnotation(method, KeepsNothing.class);
    }
}
