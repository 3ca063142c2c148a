<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\Parser;
use PhpParser\ParserFactory;

/**
 * How much one line of code holds: measured, so that it can be held.
 *
 * A code line is a line with at least one token that is neither white space nor a comment.
 */
final class Air
{
    public const COLUMNS = 120;
    public const PARAMETERS = 6;
    public const BARE_ARGUMENTS = 4;
    private const NOT_CODE = [\T_WHITESPACE, \T_COMMENT, \T_DOC_COMMENT, \T_OPEN_TAG];

    private readonly Parser $parser;

    public int $codeLines = 0;

    public int $tokens = 0;

    public int $commentLines = 0;

    /** @var list<string> places, as file:line */
    public array $wideLines = [];

    /** @var list<string> */
    public array $nestedTernaries = [];

    /** @var list<string> methods with too many parameters that are not the constructor of a value */
    public array $longParameterLists = [];

    /** @var list<string> calls with more bare positional arguments than a reader can tell apart */
    public array $bareCalls = [];

    public function __construct()
    {
        $this->parser = (new ParserFactory())->createForHostVersion();
    }

    public static function ofTree(string ...$folders): self
    {
        $air = new self();
        foreach (self::files('php', ...$folders) as $file) {
            $air->addPhp($file, (string) file_get_contents($file));
        }

        return $air;
    }

    /** @return list<string> every file of one kind below the folders */
    public static function files(string $ending, string ...$folders): array
    {
        $files = [];
        foreach ($folders as $folder) {
            $inside = new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS);
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator($inside) as $file) {
                if (str_ends_with($file->getFilename(), '.'.$ending)) {
                    $files[] = $file->getPathname();
                }
            }
        }
        sort($files);

        return $files;
    }

    /** @return list<string> places of lines that are wider than the columns */
    public static function wide(string $file, string $text): array
    {
        $wide = [];
        foreach (explode("\n", $text) as $i => $line) {
            if (mb_strlen($line) > self::COLUMNS) {
                $wide[] = $file.':'.($i + 1);
            }
        }

        return $wide;
    }

    public function tokensPerLine(): float
    {
        return $this->tokens / max(1, $this->codeLines);
    }

    public function addPhp(string $file, string $text): void
    {
        $this->countTokens($text);
        array_push($this->wideLines, ...self::wide($file, $text));
        $finder = new NodeFinder();
        $tree = $this->parser->parse($text) ?? [];
        foreach ($finder->findInstanceOf($tree, Node\Expr\Ternary::class) as $ternary) {
            $parts = array_filter([$ternary->cond, $ternary->if, $ternary->else]);
            if (null !== $finder->findFirstInstanceOf($parts, Node\Expr\Ternary::class)) {
                $this->nestedTernaries[] = $file.':'.$ternary->getStartLine();
            }
        }
        foreach ($finder->findInstanceOf($tree, Node\Stmt\Class_::class) as $class) {
            foreach ($class->getMethods() as $method) {
                if (\count($method->params) > self::PARAMETERS && !self::makesAValue($class, $method)) {
                    $this->longParameterLists[] = $file.':'.$method->getStartLine();
                }
            }
        }
        foreach ($finder->findInstanceOf($tree, Node\Expr\CallLike::class) as $call) {
            if (!$call->isFirstClassCallable() && self::bare($call) > self::BARE_ARGUMENTS) {
                $this->bareCalls[] = $file.':'.$call->getStartLine();
            }
        }
    }

    /** A constructor that only takes its parts, each as a property; also one with a name, with the same parts. */
    private static function makesAValue(Node\Stmt\Class_ $class, Node\Stmt\ClassMethod $method): bool
    {
        $constructor = $class->getMethod('__construct');
        $parts = array_filter(
            $constructor->params ?? [],
            static fn (Node\Param $p): bool => $p->isPromoted(),
        );
        /** @param array<Node\Param> $params */
        $names = static fn (array $params): array => array_map(
            static fn (mixed $p): mixed => $p instanceof Node\Param && $p->var instanceof Node\Expr\Variable
                ? $p->var->name
                : null,
            array_values($params),
        );
        $isNamedConstructor = $method === $constructor
            || ($method->isStatic() && $names($parts) === $names($method->params));

        return $isNamedConstructor && \count($parts) === \count($method->params);
    }

    /** How many arguments a call gives by position only; a list of words does not count. */
    private static function bare(Node\Expr\CallLike $call): int
    {
        if ($call instanceof Node\Expr\FuncCall && $call->name instanceof Node\Name) {
            $name = $call->name->toString();
            if (\function_exists($name) && (new \ReflectionFunction($name))->isVariadic()) {
                return 0;
            }
        }
        $bare = array_filter(
            $call->getArgs(),
            static fn (Node\Arg $argument): bool => null === $argument->name && !$argument->unpack,
        );
        $words = array_filter(
            $bare,
            static fn (Node\Arg $argument): bool => $argument->value instanceof Node\Scalar\String_,
        );

        return \count($words) === \count($bare) ? 0 : \count($bare);
    }

    private function countTokens(string $text): void
    {
        $code = [];
        $comments = [];
        foreach (\PhpToken::tokenize($text) as $token) {
            $lines = range(
                $token->line,
                $token->line + substr_count(rtrim($token->text, "\n"), "\n"),
            );
            if ($token->is([\T_COMMENT, \T_DOC_COMMENT])) {
                $comments += array_fill_keys($lines, true);
            } elseif (!$token->is(self::NOT_CODE)) {
                ++$this->tokens;
                $code += array_fill_keys($lines, true);
            }
        }
        $this->codeLines += \count($code);
        $this->commentLines += \count(array_diff_key($comments, $code));
    }
}
