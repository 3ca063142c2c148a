<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use Masterminds\HTML5;

/**
 * A page as what a browser makes of it: elements, attributes and texts, a line each.
 *
 * Left out is what a browser does not show either, that is white space at the edges of blocks, in a row or within
 * attributes, and what is different in every run: ids, tokens and the time of day.
 */
final class PageTree
{
    private const BLOCKS = '/^(html|head|body|title|meta|link|script|style|main|header|footer|nav|section|article|aside'
        .'|div|p|[uod]l|li|dt|dd|table|thead|tbody|tfoot|tr|t[dh]|caption|form|fieldset|legend|h[1-6]|hr|figure'
        .'|figcaption|details|summary|option|optgroup|select|datalist|template|dialog|br|svg|g|path|circle|line|rect'
        .'|polyline)$/';
    private const LAYS_OUT = '/(?:^|\s)(?:\w+:)?(flex|inline-flex|grid|field|rows|scale|choices|yesno|keys)(?:\s|$)/';
    private const OTHER_EACH_RUN = [
        '/(build\/)[^"]+/',
        '/\b\d\d:\d\d\b/',
        '/\b\d{10,}\b/',
        '/own[-\/][0-9a-f]{8}/',
        '/trial-\d+/',
    ];

    /** @var list<string> */
    private array $lines = [];

    /** @return list<string> */
    public static function linesOf(string $html): array
    {
        $tree = new self();
        $tree->walk((new HTML5())->loadHTML(self::steady($html)), 0);

        return $tree->lines;
    }

    private function walk(\DOMNode $node, int $depth): void
    {
        foreach ($node->childNodes as $child) {
            if ($child instanceof \DOMText) {
                $text = self::shown($child, $node);
                if ('' !== $text) {
                    $this->lines[] = str_repeat(' ', $depth).'"'.$text.'"';
                }
            } elseif ($child instanceof \DOMElement) {
                $this->lines[] = str_repeat(' ', $depth).self::tag($child);
                $this->walk($child, $depth + 1);
            }
        }
    }

    private static function steady(string $html): string
    {
        $known = [];
        $html = (string) preg_replace_callback(
            '/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/',
            static function (array $id) use (&$known): string {
                return $known[$id[0]] ??= 'id'.\count($known);
            },
            $html,
        );

        return (string) preg_replace(self::OTHER_EACH_RUN, '*', $html);
    }

    private static function shown(\DOMText $node, \DOMNode $parent): string
    {
        $text = (string) preg_replace('/\s+/', ' ', $node->data);
        if (self::laysOut($parent)) {
            return trim($text);
        }
        $before = $node->previousSibling ?? $parent;
        $after = $node->nextSibling ?? $parent;
        $text = self::isBlock($before) ? ltrim($text) : $text;

        return self::isBlock($after) ? rtrim($text) : $text;
    }

    private static function tag(\DOMElement $element): string
    {
        $attributes = [];
        foreach ($element->attributes as $attribute) {
            $value = trim((string) preg_replace('/\s+/', ' ', $attribute->value));
            $value = 'd' === $attribute->name ? str_replace(' ', '', $value) : $value;
            $isToken = 'value' === $attribute->name && str_ends_with(
                $element->getAttribute('name'),
                '_token',
            );
            $attributes[] = $attribute->name.'='.($isToken ? '*' : $value);
        }
        sort($attributes);

        return '<'.$element->tagName.' '.implode(' ', $attributes).'>';
    }

    private static function isBlock(\DOMNode $node): bool
    {
        if (!$node instanceof \DOMElement) {
            return !$node instanceof \DOMText;
        }
        $isHidden = 'input' === $node->tagName && 'hidden' === $node->getAttribute('type');
        $isLaidOut = null !== $node->parentNode && self::laysOut($node->parentNode);

        return $isHidden || $isLaidOut || 1 === preg_match(self::BLOCKS, $node->tagName);
    }

    private static function laysOut(\DOMNode $node): bool
    {
        return $node instanceof \DOMElement && 1 === preg_match(
            self::LAYS_OUT,
            $node->getAttribute('class'),
        );
    }
}
