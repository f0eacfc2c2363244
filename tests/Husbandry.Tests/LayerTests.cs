using System.Reflection;
using System.Reflection.Emit;
using System.Text.RegularExpressions;

namespace Husbandry.Tests;

/// <summary>
/// Holds the core to the picture of its layers in <c>docs/how-it-works.md</c>: a folder uses what stands above it, never
/// what stands below or beside. Read from the compiled code, so that extension members and inferred types count too.
/// </summary>
public partial class LayerTests
{
    private static readonly Dictionary<int, OpCode> OpCodesByValue = typeof(OpCodes)
        .GetFields(BindingFlags.Public | BindingFlags.Static)
        .Select(f => (OpCode)f.GetValue(null)!)
        .ToDictionary(c => (int)(ushort)c.Value);

    [GeneratedRegex(@"^\s*\d+\s+(?<folders>[A-Z]\w+(\s*·\s*[A-Z]\w+)*)", RegexOptions.Multiline)]
    private static partial Regex LayerLine();

    [Fact]
    public void A_folder_uses_only_what_stands_above_it()
    {
        var layers = Layers();
        var wrong = Uses()
            .Where(u => layers[u.To] >= layers[u.From])
            .Select(u => $"{u.From} ({u.By}) uses {u.To} ({u.What})")
            .Distinct()
            .Order()
            .ToList();
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
    }

    [Fact]
    public void Every_folder_has_its_layer() =>
        Assert.Equal(
            typeof(Rooms.Room).Assembly.GetTypes().Select(Folder).OfType<string>().Distinct().Order(),
            Layers().Keys.Order()
        );

    [Fact]
    public void Uses_are_found_in_the_code_of_methods_and_through_extensions()
    {
        var uses = Uses().Select(u => (u.From, u.To)).ToHashSet();
        Assert.Contains(("Vigils", "Climate"), uses);
        Assert.Contains(("Rounds", "Growth"), uses);
    }

    /// <summary>The folder of the whole tree.</summary>
    internal static string Root
    {
        get
        {
            var at = new DirectoryInfo(AppContext.BaseDirectory);
            while (!File.Exists(Path.Combine(at.FullName, "HushedLantern.slnx")))
            {
                at = at.Parent!;
            }

            return at.FullName;
        }
    }

    /// <summary>The layers as drawn in the documents: a number for each folder.</summary>
    private static Dictionary<string, int> Layers()
    {
        var text = File.ReadAllText(Path.Combine(Root, "docs", "how-it-works.md"));
        var picture = text.Split("```layers")[1].Split("```")[0];
        return LayerLine()
            .Matches(picture)
            .SelectMany((line, k) => line.Groups["folders"].Value.Split('·').Select(name => (Name: name.Trim(), k)))
            .ToDictionary(x => x.Name, x => x.k);
    }

    private static IEnumerable<(string From, string To, string By, string What)> Uses()
    {
        foreach (var type in typeof(Rooms.Room).Assembly.GetTypes())
        {
            if (Folder(type) is not { } from)
            {
                continue;
            }

            foreach (var used in UsedBy(type).SelectMany(Parts))
            {
                if (Folder(used) is { } to && to != from)
                {
                    yield return (from, to, Outer(type).Name, Outer(used).Name);
                }
            }
        }
    }

    private static string? Folder(Type type)
    {
        var parts = Outer(type).Namespace?.Split('.') ?? [];
        return parts is ["Husbandry", var folder, ..] ? folder : null;
    }

    private static Type Outer(Type type) => type.DeclaringType is { } outer ? Outer(outer) : type;

    /// <summary>A type with what it is built of: elements of arrays, arguments of generics.</summary>
    private static IEnumerable<Type> Parts(Type type) =>
        type.HasElementType ? Parts(type.GetElementType()!)
        : type.IsGenericType ? type.GetGenericArguments().SelectMany(Parts).Prepend(type)
        : [type];

    private static IEnumerable<Type> UsedBy(Type type)
    {
        const BindingFlags All =
            BindingFlags.Public
            | BindingFlags.NonPublic
            | BindingFlags.Instance
            | BindingFlags.Static
            | BindingFlags.DeclaredOnly;
        var methods = type.GetMethods(All).Cast<MethodBase>().Concat(type.GetConstructors(All)).ToList();
        return type.GetInterfaces()
            .Append(type.BaseType)
            .Concat(type.GetFields(All).Select(f => f.FieldType))
            .Concat(methods.SelectMany(m => m.GetParameters().Select(p => p.ParameterType)))
            .Concat(methods.OfType<MethodInfo>().Select(m => m.ReturnType))
            .Concat(methods.SelectMany(Named))
            .OfType<Type>();
    }

    /// <summary>Types named in the code of a method: its locals, and every token of its instructions.</summary>
    private static IEnumerable<Type> Named(MethodBase method)
    {
        if (method.GetMethodBody() is not { } body || body.GetILAsByteArray() is not { } code)
        {
            yield break;
        }

        foreach (var local in body.LocalVariables)
        {
            yield return local.LocalType;
        }

        var typeArguments = method.DeclaringType!.IsGenericType ? method.DeclaringType.GetGenericArguments() : null;
        var methodArguments = method.IsGenericMethod ? method.GetGenericArguments() : null;
        for (var at = 0; at < code.Length; )
        {
            var op = code[at] == 0xFE ? OpCodesByValue[0xFE00 | code[at + 1]] : OpCodesByValue[code[at]];
            at += op.Size;
            if (
                op.OperandType
                is OperandType.InlineMethod
                    or OperandType.InlineField
                    or OperandType.InlineType
                    or OperandType.InlineTok
            )
            {
                var member = method.Module.ResolveMember(
                    BitConverter.ToInt32(code, at),
                    typeArguments,
                    methodArguments
                );
                if ((member as Type ?? member?.DeclaringType) is { } named)
                {
                    yield return named;
                }

                if (member is MethodInfo { ReturnType: { } returned })
                {
                    yield return returned;
                }
            }

            at += op.OperandType switch
            {
                OperandType.InlineNone => 0,
                OperandType.ShortInlineBrTarget or OperandType.ShortInlineI or OperandType.ShortInlineVar => 1,
                OperandType.InlineVar => 2,
                OperandType.InlineI8 or OperandType.InlineR => 8,
                OperandType.InlineSwitch => 4 + (4 * BitConverter.ToInt32(code, at)),
                _ => 4,
            };
        }
    }
}
