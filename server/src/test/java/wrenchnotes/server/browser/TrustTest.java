package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A lead's room: people, who gets in, the journal, and how safe it all is. */
@Tag("shop")
class TrustTest {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    @Test
    void aLeadGivesAPasswordLetsAScriptInAndReadsOfIt() {
        Window window = VISIT.window();
        Page page = window.page();
        page.navigate("/team");
        var tobias = page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("tobias").setExact(true));
        tobias.getByText("New password").click();
        page.getByLabel("New password of tobias").fill("short");
        window.click("Give it");
        window.says("at least 10 letters");
        page.getByLabel("New password of tobias").fill("the harbour bell at six");
        window.click("Give it");
        assertThat(page.getByLabel("New password of tobias")).hasCount(0);
        try (Window other = Window.on(VISIT.shop().url())) {
            other.signIn("tobias", "the harbour bell at six");
            other.page().navigate("/team");
            other.click("Choose another");
            other.page().getByLabel("Password now").fill("the harbour bell at six");
            other.page().getByLabel("From now on").fill("a bell that rings at seven");
            other.click("Take this one");
            other.says("It is changed");
            assertThat(other.page().getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Journal")))
                    .hasCount(0);

            page.navigate("/team/gate");
            page.getByLabel("Sign out tobias at 127.0.0.1").click();
            assertThat(page.getByLabel("Sign out tobias at 127.0.0.1")).hasCount(0);
            other.page().navigate("/rack");
            other.says("Who is at work?");
        }
        window.click("A token for a script");
        page.getByLabel("What it is for").fill("stock list");
        page.getByText("drawers –").click();
        page.getByText("drawers reads").click();
        window.assertAccessible();
        window.click("Make the token");
        window.says("it is not shown again", "writes drawers");
        page.getByLabel("Revoke stock list").click();
        assertThat(page.getByLabel("Revoke stock list")).hasCount(0);

        page.navigate("/team/journal");
        window.says("tobias gets a new password", "tobias chose another password", "The token stock list is revoked");
        page.getByLabel("About").selectOption("door");
        window.says("tobias came in");
        page.getByText("gets a new password").waitFor(Window.GONE);
        window.assertAccessible();
        page.navigate("/team/kept");
        window.says("Nothing is wrong", "Save the whole shop");
    }
}
