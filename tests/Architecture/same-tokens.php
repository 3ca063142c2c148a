<?php

declare(strict_types=1);

// Proves that a formatting changed white space only: php tests/Architecture/same-tokens.php BEFORE AFTER
// Compares every PHP file of two commits token by token, without white space and commas before a closing bracket.

[, $before, $after] = $argv + [1 => 'HEAD~1', 2 => 'HEAD'];
$git = static function (string ...$words): string {
    $text = shell_exec('git '.implode(' ', array_map(escapeshellarg(...), $words)));

    return is_string($text) ? $text : '';
};
/** @return list<string> the tokens that are left when a file is read without its layout */
$read = static function (string $source): array {
    $texts = [];
    foreach (PhpToken::tokenize($source) as $token) {
        if ($token->is(\T_WHITESPACE)) {
            continue;
        }
        if (in_array($token->text, [')', ']', '}'], true) && ',' === end($texts)) {
            array_pop($texts);
        }
        $texts[] = $token->is([\T_OPEN_TAG, \T_COMMENT, \T_DOC_COMMENT])
            ? (string) preg_replace('/\s+/', ' ', trim($token->text))
            : $token->text;
    }

    return $texts;
};
$files = array_filter(
    explode("\n", $git('ls-tree', '-r', '--name-only', $before)),
    static fn (string $file): bool => str_ends_with($file, '.php'),
);
$same = 0;
$other = [];
foreach ($files as $file) {
    if ($read($git('show', $before.':'.$file)) === $read($git('show', $after.':'.$file))) {
        ++$same;
    } else {
        $other[] = $file;
    }
}
printf("%d files have the same tokens, %d do not\n", $same, count($other));
echo [] === $other ? '' : implode("\n", $other)."\n";
exit([] === $other ? 0 : 1);
