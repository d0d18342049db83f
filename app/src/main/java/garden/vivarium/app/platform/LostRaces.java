package garden.vivarium.app.platform;

import java.sql.SQLException;
import org.aopalliance.intercept.MethodInterceptor;
import org.springframework.aop.Advisor;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.core.Ordered;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.retry.RetryPolicy;
import org.springframework.retry.backoff.ExponentialRandomBackOffPolicy;
import org.springframework.retry.interceptor.RetryOperationsInterceptor;
import org.springframework.retry.policy.ExceptionClassifierRetryPolicy;
import org.springframework.retry.policy.NeverRetryPolicy;
import org.springframework.retry.policy.SimpleRetryPolicy;
import org.springframework.retry.support.RetryTemplate;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * A transaction that lost a race in the database is tried again, whole: chosen as the victim of a deadlock, overtaken by another
 * change of the same row, or by another that made the same thing.
 */
@Configuration
class LostRaces {

    private static final int TRIES = 8;
    /** MariaDB's number for a second row of one key. */
    private static final int DUPLICATE = 1062;

    private static final long FIRST_WAIT_MS = 10;
    private static final long LONGEST_WAIT_MS = 300;

    @Bean
    @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
    static Advisor triedAgain() {
        RetryOperationsInterceptor again = new RetryOperationsInterceptor();
        again.setRetryOperations(tries());
        MethodInterceptor outermost = call ->
                TransactionSynchronizationManager.isActualTransactionActive() ? call.proceed() : again.invoke(call);
        DefaultPointcutAdvisor advisor = new DefaultPointcutAdvisor(
                AnnotationMatchingPointcut.forMethodAnnotation(Transactional.class), outermost);
        // Round the transaction, not within it.
        advisor.setOrder(Ordered.LOWEST_PRECEDENCE - 1);
        return advisor;
    }

    private static RetryTemplate tries() {
        ExponentialRandomBackOffPolicy wait = new ExponentialRandomBackOffPolicy();
        wait.setInitialInterval(FIRST_WAIT_MS);
        wait.setMaxInterval(LONGEST_WAIT_MS);
        SimpleRetryPolicy again = new SimpleRetryPolicy(TRIES);
        RetryPolicy never = new NeverRetryPolicy();
        ExceptionClassifierRetryPolicy policy = new ExceptionClassifierRetryPolicy();
        policy.setExceptionClassifier(failure -> isLostRace(failure) ? again : never);
        RetryTemplate tries = new RetryTemplate();
        tries.setRetryPolicy(policy);
        tries.setBackOffPolicy(wait);
        return tries;
    }

    private static boolean isLostRace(Throwable failure) {
        return failure instanceof ConcurrencyFailureException
                || (failure instanceof DataIntegrityViolationException
                        && NestedExceptionUtils.getMostSpecificCause(failure) instanceof SQLException sql
                        && sql.getErrorCode() == DUPLICATE);
    }
}
