using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;
using OpenQA.Selenium.Support.UI;

namespace Browser.Tests;

/// <summary>A keeper at a real browser, in front of a real server.</summary>
internal sealed class Keeper : IDisposable
{
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(15);

    private readonly string profile = Directory.CreateTempSubdirectory("lantern-browser-").FullName;
    private readonly ChromeDriverService service;
    private readonly ChromeDriver driver;
    private readonly Uri address;

    public Keeper(Uri address, int width = 1280, int height = 800)
    {
        this.address = address;
        service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        service.SuppressInitialDiagnosticInformation = true;
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless",
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--disable-dev-shm-usage",
            "--hide-scrollbars",
            $"--user-data-dir={profile}"
        );
        options.SetLoggingPreference(LogType.Browser, LogLevel.Severe);
        driver = new ChromeDriver(service, options);
        Resize(width, height);
    }

    public void Resize(int width, int height) =>
        driver.ExecuteCdpCommand(
            "Emulation.setDeviceMetricsOverride",
            new Dictionary<string, object?>
            {
                ["width"] = width,
                ["height"] = height,
                ["deviceScaleFactor"] = 1,
                ["mobile"] = false,
            }
        );

    public string Path => new Uri(driver.Url).AbsolutePath;

    public void Open(string path) => driver.Navigate().GoToUrl(new Uri(address, path));

    public void Look(string look) =>
        Run($"localStorage.setItem('look', '{look}'); document.documentElement.dataset.look = '{look}'");

    public object? Run(string script, params object[] arguments) => driver.ExecuteScript(script, arguments);

    public string? RunAsync(string script) => driver.ExecuteAsyncScript(script) as string;

    /// <summary>Waits for an element that can be seen.</summary>
    public IWebElement See(string css) =>
        Wait(() => driver.FindElements(By.CssSelector(css)).FirstOrDefault(e => e.Displayed), css);

    /// <summary>Waits for a text to be seen inside an element.</summary>
    public void SeeText(string css, string text) =>
        Wait(
            () =>
                driver
                    .FindElements(By.CssSelector(css))
                    .Any(e => e.Displayed && e.Text.Contains(text, StringComparison.Ordinal)),
            $"{css} with “{text}”"
        );

    /// <summary>Waits until a text can no longer be seen inside any such element.</summary>
    public void SeeNoText(string css, string text) =>
        Wait(
            () =>
                !driver
                    .FindElements(By.CssSelector(css))
                    .Any(e => e.Displayed && e.Text.Contains(text, StringComparison.Ordinal)),
            $"{css} without “{text}”"
        );

    public string Text(string css) => See(css).Text;

    /// <summary>Presses the button, link or menu line that bears a text.</summary>
    public void Press(string text, string within = "body") =>
        Wait(
            () =>
            {
                var found = driver
                    .FindElements(
                        By.CssSelector($"{within} button, {within} a, {within} [role=menuitem], {within} label")
                    )
                    .FirstOrDefault(e => e.Displayed && e.Text.Contains(text, StringComparison.Ordinal));
                found?.Click();
                return found is not null;
            },
            $"“{text}” to press in {within}"
        );

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

    /// <summary>Gives a file to the page's file field.</summary>
    public void Upload(string path) => driver.FindElement(By.CssSelector("input[type=file]")).SendKeys(path);

    /// <summary>Chooses an option of the list with a label.</summary>
    public void Choose(string label, string option) =>
        Field(label).FindElements(By.TagName("option")).First(o => o.Text == option).Click();

    /// <summary>Presses keys wherever the focus is.</summary>
    public void Keys(string keys) => driver.SwitchTo().ActiveElement().SendKeys(keys);

    public void Wait(Func<bool> condition, string what) => Wait(() => condition() ? "" : null, what);

    public byte[] Picture() => ((ITakesScreenshot)driver).GetScreenshot().AsByteArray;

    /// <summary>Severe messages of the browser's console, the policy's refusals among them.</summary>
    public IReadOnlyList<string> Complaints() =>
        [.. driver.Manage().Logs.GetLog(LogType.Browser).Select(l => l.Message)];

    public void Dispose()
    {
        driver.Quit();
        service.Dispose();
        try
        {
            Directory.Delete(profile, recursive: true);
        }
        catch (IOException)
        {
            // The browser may still be closing its files; the folder lies under the system's temporary ones.
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
