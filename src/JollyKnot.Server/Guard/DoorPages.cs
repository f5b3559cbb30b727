// What somebody at the door is shown, before anything of the house.
using System.Text.Encodings.Web;

namespace JollyKnot.Server.Guard;

/// <summary>The pages at the door.</summary>
internal static class DoorPages
{
    /// <summary>Asks for the passphrase.</summary>
    /// <param name="said">What is said of the last try; empty for none.</param>
    /// <param name="name">What the device is called.</param>
    public static string Ask(string said, string name)
    {
        var last = said.Length > 0 ? $"<p role=\"alert\">{Encoded(said)}</p>" : "";
        return Page(
            $"""
            <form method="post" action="{Door.Bell}"><label>The household's passphrase<br>
            <input type="password" name="passphrase" autofocus autocomplete="current-password"></label>
            <p><label>This device is called<br><input name="name" maxlength="40" value="{Encoded(name)}"></label></p>
            {last}
            <p><button>Come in</button></p></form>
            """
        );
    }

    /// <summary>Asks a device to trust the house, before it is spoken to in confidence.</summary>
    /// <param name="secure">Where it goes then.</param>
    public static string Trust(string secure) =>
        Page(
            $"""
            <ol><li><a href="{Door.Certificate}">Take the house's certificate</a> and let this device trust it: in its
            settings, under security, as a certificate authority. Once for each device.</li>
            <li><a href="{Encoded(secure)}">Then come in</a>.</li></ol>
            <p>Without the certificate the browser warns. What is said at the other address nobody else hears.</p>
            """
        );

    private static string Encoded(string text) => HtmlEncoder.Default.Encode(text);

    private static string Page(string inner) =>
        $$"""
            <!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width">
            <title>Jolly Knot</title><style>
            body{font:20px/1.5 sans-serif;max-width:24em;margin:12vh auto;padding:0 1em}
            input{font:inherit;box-sizing:border-box;width:100%;min-height:56px}
            button{font:inherit;min-height:56px;padding:0 2em}a{display:inline-block;padding:.6em 0}
            @media (prefers-color-scheme:dark){ body{background:#1b1815;color:#f3ece2} a{color:#f0c96a} }
            </style><body><h1>Jolly Knot</h1>{{inner}}</body></html>
            """;
}
