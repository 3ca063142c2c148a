<?php

declare(strict_types=1);

// Proves that a change of templates left every page as it was: php tests/Architecture/same-pages.php BEFORE AFTER
// The two folders hold the pages that the tests opened (HG_KEEP_PAGES=FOLDER vendor/bin/phpunit --testsuite app).
// Pages are compared as trees: elements, attributes, texts. Not compared is what a browser does not show either, that is
// white space at the edges of blocks, in a row or within attributes, and what is different in every run: ids and tokens.

use Masterminds\HTML5;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const BLOCKS = '/^(html|head|body|title|meta|link|script|style|main|header|footer|nav|section|article|aside|div|p|[uod]l'
    .'|li|dt|dd|table|thead|tbody|tfoot|tr|t[dh]|caption|form|fieldset|legend|h[1-6]|hr|figure|figcaption|details|summary'
    .'|option|optgroup|select|datalist|template|dialog|br|svg|g|path|circle|line|rect|polyline)$/';
const LAYS_OUT = '/(?:^|\s)(?:\w+:)?(flex|inline-flex|grid|field|rows|scale|choices|yesno|keys)(?:\s|$)/';

/** Text as a browser shows it. */
$collapsed = static fn (string $text): string => (string) preg_replace('/\s+/', ' ', $text);
/** @param array<string, string> $known */
$steady = static function (string $html, array &$known): string {
    $html = (string) preg_replace_callback(
        '/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/',
        static fn (array $id): string => $known[$id[0]] ??= 'id'.count($known),
        $html,
    );

    return (string) preg_replace(['/(build\/)[^"]+/', '/\b\d\d:\d\d\b/', '/\b\d{10,}\b/', '/own[-\/][0-9a-f]{8}/', '/trial-\d+/'], '*', $html);
};
$isBlock = static function (?DOMNode $node): bool {
    if (!$node instanceof DOMElement) {
        return !$node instanceof DOMText;
    }
    $hidden = 'input' === $node->tagName && 'hidden' === $node->getAttribute('type');
    $laidOut = $node->parentNode instanceof DOMElement && preg_match(LAYS_OUT, $node->parentNode->getAttribute('class'));

    return $hidden || $laidOut || 1 === preg_match(BLOCKS, $node->tagName);
};
/** @param list<string> $lines */
$walk = static function (DOMNode $node, array &$lines, int $depth) use (&$walk, $collapsed, $isBlock): void {
    foreach ($node->childNodes as $child) {
        if ($child instanceof DOMText) {
            $text = $collapsed($child->data);
            $before = $child->previousSibling;
            $after = $child->nextSibling;
            if ($node instanceof DOMElement && 1 === preg_match(LAYS_OUT, $node->getAttribute('class'))) {
                $text = trim($text);
            }
            if (null === $before ? $isBlock($node) : $isBlock($before)) {
                $text = ltrim($text);
            }
            if (null === $after ? $isBlock($node) : $isBlock($after)) {
                $text = rtrim($text);
            }
            if ('' !== $text) {
                $lines[] = str_repeat(' ', $depth).'"'.$text.'" in '.$node->nodeName.' '.$node->getAttribute('class');
            }
        } elseif ($child instanceof DOMElement) {
            $attributes = [];
            foreach ($child->attributes as $name => $attribute) {
                $value = trim($collapsed($attribute->value));
                $value = 'd' === $name ? str_replace(' ', '', $value) : $value;
                $isToken = 'value' === $name && str_ends_with($child->getAttribute('name'), '_token');
                $attributes[] = $name.'='.($isToken || 'data-token' === $name ? '*' : $value);
            }
            sort($attributes);
            $lines[] = str_repeat(' ', $depth).'<'.$child->tagName.' '.implode(' ', $attributes).'>';
            $walk($child, $lines, $depth + 1);
        }
    }
};
/** @return list<string> */
$read = static function (string $file) use ($walk, $steady): array {
    $known = [];
    $lines = [];
    $walk((new HTML5())->loadHTML($steady((string) file_get_contents($file), $known)), $lines, 0);

    return $lines;
};
[, $before, $after] = $argv;
$same = 0;
$other = [];
foreach (glob($before.'/*.html') ?: [] as $file) {
    $twin = $after.'/'.basename($file);
    $old = $read($file);
    $new = is_file($twin) ? $read($twin) : [];
    if ($old === $new) {
        ++$same;
        continue;
    }
    $other[] = basename($file);
    foreach (array_slice(array_diff($old, $new), 0, 2) as $line) {
        echo '- ', trim($line), "\n";
    }
    foreach (array_slice(array_diff($new, $old), 0, 2) as $line) {
        echo '+ ', trim($line), "\n";
    }
}
printf("%d pages are the same, %d are not\n", $same, count($other));
echo implode("\n", array_slice($other, 0, 40)), [] === $other ? '' : "\n";
exit([] === $other ? 0 : 1);
