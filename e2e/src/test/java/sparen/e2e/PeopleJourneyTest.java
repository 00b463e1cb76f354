package sparen.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.ByteBuffer;
import java.time.Duration;
import java.time.Instant;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.testng.annotations.Test;

/** People come, are given sites, and go: an administrator at one screen, who comes at another. */
public class PeopleJourneyTest extends BrowserTest {
    /** Makes an account at an administrator's screen and follows its link at another. */
    private Page welcomed(Page signe) {
        exactButton(signe, "New account").click();
        signe.getByLabel("Full name").fill("Runa Skjelvik");
        signe.getByLabel("Signs in as").fill("runa");
        exactButton(signe, "Make it").click();
        String link = signe.getByText("/#/welcome/").textContent().strip();
        Page runa = window();
        runa.navigate(link);
        assertThat(says(runa, "This link is for Runa Skjelvik")).isVisible();
        return runa;
    }

    @Test
    public void whoIsLetInByALinkWorksAndIsLetOutAgain() {
        Page signe = at("/accounts", "signe");
        assertAccessible(signe);
        Page runa = welcomed(signe);
        assertAccessible(runa);
        runa.getByLabel("New password").fill("password1234");
        exactButton(runa, "Set it and sign in").click();
        assertThat(runa.getByRole(AriaRole.ALERT)).containsText("is common");
        runa.getByLabel("New password").fill("tern lantern gravel sleet");
        exactButton(runa, "Set it and sign in").click();
        assertThat(says(runa, "Kvarnö seed bank")).isVisible();
        assertThat(runa.getByLabel("Your account: Runa Skjelvik")).isVisible();
        exactButton(signe, "Done").click();
        signe.getByLabel("More for Runa Skjelvik").click();
        exactButton(signe, "Disable").click();
        assertThat(says(signe, "Runa Skjelvik is disabled, and signed out.")).isVisible();
        runa.reload();
        assertThat(exactButton(runa, "Sign in")).isVisible();
        signe.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("What was done"))
                .click();
        assertThat(says(signe, "account changed")).isVisible();
        assertThat(says(signe, "password changed")).isVisible();
        assertAccessible(signe);
    }

    @Test
    public void aCrewKeepsASiteForItsPeople() {
        Page signe = at("/accounts/crews", "signe");
        exactButton(signe, "New crew").click();
        signe.getByLabel("Name of the crew").fill("North");
        signe.getByLabel("Liv Nordhavn in this crew").selectOption("sees");
        signe.getByLabel("Kvarnö seed bank").check();
        assertAccessible(signe);
        exactButton(signe, "Save the crew").click();
        assertThat(says(signe, "Liv Nordhavn (sees)")).isVisible();
        Page odd = at("/", "odd");
        assertThat(says(odd, "Hällgrund fog-signal relay")).isVisible();
        assertThat(odd.getByText("Kvarnö seed bank")).hasCount(0);
        Page liv = at("/site/kvarno/plan", "liv");
        assertThat(says(liv, "Revision 1")).isVisible();
        assertThat(exactButton(liv, "Save revision")).hasCount(0);
        exactButton(signe, "Dissolve North").click();
        exactButton(signe, "Dissolve it").click();
        odd.reload();
        assertThat(says(odd, "Kvarnö seed bank")).isVisible();
    }

    /** What an authenticator shows, by RFC 6238 worked out here: HMAC-SHA-1 of the step of time, six digits of it. */
    private static String code(String base32, Instant at) throws Exception {
        StringBuilder bits = new StringBuilder();
        for (char letter : base32.toCharArray()) {
            int value = "ABCDEFGHIJKLMNOPQRSTUVWXYZ234567".indexOf(letter);
            bits.append(String.format("%5s", Integer.toBinaryString(value)).replace(' ', '0'));
        }
        byte[] secret = new byte[bits.length() / 8];
        for (int i = 0; i < secret.length; i++) {
            secret[i] = (byte) Integer.parseInt(bits.substring(8 * i, 8 * i + 8), 2);
        }
        Mac mac = Mac.getInstance("HmacSHA1");
        mac.init(new SecretKeySpec(secret, "HmacSHA1"));
        byte[] hash = mac.doFinal(
                ByteBuffer.allocate(8).putLong(at.getEpochSecond() / 30).array());
        int from = hash[hash.length - 1] & 15;
        int number = ByteBuffer.wrap(hash, from, 4).getInt() & Integer.MAX_VALUE;
        return String.format("%06d", number % 1_000_000);
    }

    @Test
    public void aSecondFactorIsSetUpAndAskedFor() throws Exception {
        assertEquals(
                code("GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ", Instant.ofEpochSecond(59)), "287082", "RFC 6238, appendix B");
        Page liv = at("/account", "liv");
        exactButton(liv, "Set one up").click();
        Locator region = liv.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Second factor"));
        assertAccessible(liv);
        String secret = region.locator("p.font-mono").textContent().strip();
        region.getByLabel("The 6 digits").fill(code(secret, Instant.now()));
        exactButton(liv, "Confirm").click();
        assertThat(says(liv, "At each sign-in you are asked")).isVisible();
        assertThat(says(liv, "10 recovery codes are left")).isVisible();
        String written = region.locator("p.font-mono").textContent().strip().split("\\s+")[0];
        assertAccessible(liv);
        exactButton(liv, "Done").click();
        Page again = window();
        again.navigate(address() + "/");
        again.getByLabel("Name").fill("liv");
        again.getByLabel("Password").fill("havorn-demo");
        exactButton(again, "Sign in").click();
        again.getByLabel("Code of your authenticator")
                .fill(code(secret, Instant.now().plus(Duration.ofSeconds(30))));
        exactButton(again, "Sign in").click();
        assertThat(says(again, "Kvarnö seed bank")).isVisible();
        Page lost = window();
        lost.navigate(address() + "/");
        lost.getByLabel("Name").fill("liv");
        lost.getByLabel("Password").fill("havorn-demo");
        exactButton(lost, "Sign in").click();
        lost.getByLabel("or a recovery code").fill(written);
        exactButton(lost, "Sign in").click();
        assertThat(says(lost, "Kvarnö seed bank")).isVisible();
        liv.reload();
        assertThat(says(liv, "9 recovery codes are left")).isVisible();
        Locator elsewhere = liv.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Sessions"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Sign out 127"));
        assertThat(elsewhere.first()).isVisible();
        while (elsewhere.count() > 0) {
            int open = elsewhere.count();
            elsewhere.first().click();
            assertThat(elsewhere).hasCount(open - 1);
        }
        again.reload();
        assertThat(exactButton(again, "Sign in")).isVisible();
    }

    /** A token is shown once, found in the list, and withdrawn. */
    @Test
    public void aTokenIsMadeOnAPhoneAndWithdrawn() {
        Page phone = phoneAt("/account", "liv");
        phone.getByLabel("Name of a new one").fill("report");
        exactButton(phone, "Make it").click();
        assertThat(phone.getByText("sparen_")).isVisible();
        assertNoSidewaysScroll(phone);
        exactButton(phone, "Done").click();
        assertThat(phone.getByText("sparen_")).hasCount(0);
        exactButton(phone, "Withdraw report").click();
        assertThat(says(phone, "None yet.")).isVisible();
        phone.navigate(address() + "/#/accounts");
        assertThat(says(phone, "Only an administrator")).isVisible();
    }
}
