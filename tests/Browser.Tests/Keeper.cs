using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace Browser.Tests;

/// <summary>A keeper at a real browser, in front of a real server.</summary>
internal sealed class Keeper : IDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(60);

    private readonly RunningBrowser browser;
    private readonly bool isOwn;
    private readonly ChromeDriver driver;
    private readonly Uri address;

    /// <param name="address">Where the room is served.</param>
    /// <param name="width">Width of the window, CSS pixels.</param>
    /// <param name="height">Its height.</param>
    /// <param name="home">Home of a browser of its own, with certificates of its own; left out, any browser serves.</param>
    public Keeper(Uri address, int width = 1280, int height = 800, string? home = null)
    {
        browser = home is null ? Browsers.Take() : new RunningBrowser(home);
        isOwn = home is not null;
        (this.address, driver) = (address, browser.Driver);
        Resize(width, height);
    }

    public void Resize(int width, int height) => Screen(width, height, mobile: false);

    /// <summary>A phone in the hand: 390 px wide, with touch.</summary>
    public void Phone()
    {
        Screen(390, 844, mobile: true);
        browser.Ask("Emulation.setTouchEmulationEnabled", ("enabled", true), ("maxTouchPoints", 1));
    }

    /// <summary>Asks pages to move nothing, as somebody may whom movement disturbs.</summary>
    public void Still() =>
        browser.Ask(
            "Emulation.setEmulatedMedia",
            (
                "features",
                new[]
                {
                    new Dictionary<string, object> { ["name"] = "prefers-reduced-motion", ["value"] = "reduce" },
                }
            )
        );

    private void Screen(int width, int height, bool mobile) =>
        browser.Ask(
            "Emulation.setDeviceMetricsOverride",
            ("width", width),
            ("height", height),
            ("deviceScaleFactor", 1),
            ("mobile", mobile)
        );

    /// <summary>Taps the button, link or menu line that bears a text with a finger.</summary>
    public void Tap(string text, string within = "body") =>
        Wait(
            () =>
            {
                if ((Settled ? Shown(Pressable(within), text) : null) is not { } found)
                {
                    return false;
                }

                TapOn(found);
                return true;
            },
            $"“{text}” to tap in {within}"
        );

    /// <summary>Taps the middle of an element with a finger.</summary>
    public void TapOn(IWebElement element)
    {
        var (x, y) = Middle(element);
        Touch("touchStart", (x, y));
        Touch("touchEnd");
    }

    /// <summary>Draws a finger over the screen from the middle of an element by so many pixels.</summary>
    public void Drag(IWebElement element, int byX, int byY)
    {
        const int Steps = 8;
        var (x, y) = Middle(element);
        Touch("touchStart", (x, y));
        for (var step = 1; step <= Steps; step++)
        {
            Touch("touchMove", (x + (byX * step / Steps), y + (byY * step / Steps)));
        }

        Touch("touchEnd");
    }

    /// <summary>Lets no file of the application through whose address fits one of these; from now on, and until asked again.</summary>
    public void Block(params string[] files)
    {
        browser.Ask("Network.enable");
        browser.Ask("Network.setBlockedURLs", ("urls", files));
    }

    /// <summary>Runs a script in every page before its own.</summary>
    public void BeforeEachPage(string script) => browser.BeforeEachPage(script);

    private (double X, double Y) Middle(IWebElement element)
    {
        var box =
            (IReadOnlyDictionary<string, object>)
                Run(
                    "arguments[0].scrollIntoView({ block: 'nearest' }); const box = arguments[0].getBoundingClientRect(); return { x: box.x + box.width / 2, y: box.y + box.height / 2 };",
                    element
                )!;
        return (Convert.ToDouble(box["x"]), Convert.ToDouble(box["y"]));
    }

    private void Touch(string type, params (double X, double Y)[] at) =>
        browser.Ask(
            "Input.dispatchTouchEvent",
            ("type", type),
            ("touchPoints", at.Select(p => new Dictionary<string, object?> { ["x"] = p.X, ["y"] = p.Y }).ToArray())
        );

    public string Path => new Uri(driver.Url).AbsolutePath;

    public void Open(string path) => driver.Navigate().GoToUrl(new Uri(address, path));

    /// <summary>Signs in where the room is on the network, on the way to a page.</summary>
    public void SignIn(string name, string password, string path = "/")
    {
        Open(path);
        SeeText("main", "Hushed Lantern");
        Type("Name", name);
        Type("Password", password);
        Press("Sign in");
    }

    public void Look(string look) =>
        Run($"localStorage.setItem('look', '{look}'); document.documentElement.dataset.look = '{look}'");

    public object? Run(string script, params object[] arguments) => driver.ExecuteScript(script, arguments);

    public string? RunAsync(string script) => driver.ExecuteAsyncScript(script) as string;

    /// <summary>Waits for an element that can be seen.</summary>
    public IWebElement See(string css) => Wait(() => Shown(css, ""), css);

    /// <summary>Waits for a text to be seen inside an element.</summary>
    public void SeeText(string css, string text) => Wait(() => Shown(css, text), $"{css} with “{text}”");

    /// <summary>Waits until a text can no longer be seen inside any such element.</summary>
    public void SeeNoText(string css, string text) => Wait(() => Shown(css, text) is null, $"{css} without “{text}”");

    /// <summary>The first element that can be seen and bears a text; one question to the browser, however many there are.</summary>
    private IWebElement? Shown(string css, string text) =>
        Run(
            """
            const seen = e => getComputedStyle(e).display === 'contents'
              ? [...e.children].some(seen)
              : e.checkVisibility({ visibilityProperty: true }) && e.getClientRects().length > 0;
            return [...document.querySelectorAll(arguments[0])]
              .find(e => (e.innerText ?? e.textContent).includes(arguments[1]) && seen(e)) ?? null;
            """,
            css,
            text
        ) as IWebElement;

    public string Text(string css) => See(css).Text;

    /// <summary>Presses the button, link or menu line that bears a text.</summary>
    public void Press(string text, string within = "body") =>
        Wait(
            () =>
            {
                var found = Settled ? Shown(Pressable(within), text) : null;
                found?.Click();
                return found is not null;
            },
            $"“{text}” to press in {within}"
        );

    private static string Pressable(string within) =>
        $"{within} button, {within} a, {within} [role=menuitem], {within} [role=option], {within} label";

    /// <summary>Presses the button that is called so, words for screen readers included.</summary>
    public void PressNamed(string name) =>
        Wait(
            () =>
            {
                var found = driver
                    .FindElements(By.TagName("button"))
                    .FirstOrDefault(b => b.Displayed && b.GetDomProperty("textContent")?.Trim() == name);
                found?.Click();
                return found is not null;
            },
            $"the button “{name}”"
        );

    /// <summary>Types into the field with a label.</summary>
    public void Type(string label, string text)
    {
        var field = Field(label);
        if (field.GetAttribute("type") == "date")
        {
            Run(
                "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set; set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event('input', { bubbles: true }));",
                field,
                text
            );
            return;
        }

        field.Clear();
        field.SendKeys(text);
    }

    /// <summary>Pastes a text into what has the focus, as from a spreadsheet.</summary>
    public void Paste(string text) =>
        Run(
            """
            const held = new DataTransfer();
            held.setData('text/plain', arguments[0]);
            document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: held, bubbles: true, cancelable: true }));
            """,
            text
        );

    /// <summary>Gives a file to the page's file field.</summary>
    public void Upload(string path) => driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(path);

    /// <summary>Chooses an option of the list with a label.</summary>
    public void Choose(string label, string option)
    {
        var field = Field(label);
        field.Click();
        See("[role=listbox] [role=option]");
        Wait(
            () =>
            {
                if (field.Text == option)
                {
                    return true;
                }

                Shown("[role=listbox] [role=option]", option)?.Click();
                return false;
            },
            $"“{option}” to choose for {label}"
        );
    }

    /// <summary>Presses keys wherever the focus is, as a keeper would who looks first.</summary>
    public void Keys(string keys)
    {
        Wait(() => Settled, "the light to settle");
        KeysAtOnce(keys);
    }

    /// <summary>Presses keys without waiting for the light to settle.</summary>
    public void KeysAtOnce(string keys) => driver.SwitchTo().ActiveElement().SendKeys(keys);

    /// <summary>Whether a press on the acts of the lit line counts.</summary>
    private bool Settled => driver.FindElements(By.CssSelector("[data-settling=true]")).Count == 0;

    public void Wait(Func<bool> condition, string what) => Wait(() => condition() ? "" : null, what);

    public byte[] Picture() => ((ITakesScreenshot)driver).GetScreenshot().AsByteArray;

    /// <summary>Severe messages of the browser's console, the policy's refusals among them.</summary>
    public IReadOnlyList<string> Complaints() =>
        [.. driver.Manage().Logs.GetLog(LogType.Browser).Select(l => l.Message)];

    public void Dispose()
    {
        if (isOwn)
        {
            browser.Dispose();
        }
        else
        {
            Browsers.GiveBack(browser, address);
        }
    }

    private IWebElement Field(string label) =>
        Wait(
            () =>
            {
                var named = driver
                    .FindElements(By.TagName("label"))
                    .FirstOrDefault(l => l.Displayed && l.Text == label);
                var id = named?.GetAttribute("for");
                return id is null ? null : driver.FindElements(By.Id(id)).FirstOrDefault();
            },
            $"field “{label}”"
        );

    private T Wait<T>(Func<T?> condition, string what)
        where T : class
    {
        var wait = new WebDriverWait(driver, Patience)
        {
            PollingInterval = TimeSpan.FromMilliseconds(50),
            Message = $"waiting for {what} at {driver.Url}",
        };
        wait.IgnoreExceptionTypes(
            typeof(StaleElementReferenceException),
            typeof(ElementClickInterceptedException),
            typeof(ElementNotInteractableException)
        );
        return wait.Until(_ => condition())!;
    }
}
