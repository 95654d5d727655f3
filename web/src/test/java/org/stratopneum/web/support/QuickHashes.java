package org.stratopneum.web.support;

import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.test.util.ReflectionTestUtils;

/**
 * Passwords are hashed slowly on purpose; hundreds of accounts are made in a test run, so here they are hashed quickly.
 * How slowly a rider's is hashed, PasswordHashesTest looks at.
 */
final class QuickHashes implements BeanPostProcessor {

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (name.equals("passwordHashes")) {
            ReflectionTestUtils.setField(bean, "encoder", new Argon2PasswordEncoder(16, 32, 1, 64, 1));
        }
        return bean;
    }
}
