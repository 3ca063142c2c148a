<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Data;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NodeTest extends TestCase
{
    /** @return iterable<string, array{string, \Closure(Node): mixed, string}> */
    public static function complaints(): iterable
    {
        yield 'a missing key' => [
            '{"a": {}}',
            static fn (Node $n): mixed => $n->get('a')->get('b'),
            'a.b: is missing',
        ];
        yield 'null counts as missing' => [
            '{"a": null}',
            static fn (Node $n): mixed => $n->get('a'),
            'a: is missing',
        ];
        yield 'text for a number' => [
            '{"a": [1, "x"]}',
            static fn (Node $n): mixed => array_map(
                static fn (Node $i): int => $i->int(),
                $n->get('a')->items(),
            ),
            'a[1]: expected a whole number',
        ];
        yield 'outside a range' => [
            '{"a": 11}',
            static fn (Node $n): mixed => $n->get('a')->int(0, 10),
            'a: 11 is outside 0..10',
        ];
        yield 'below an open range' => [
            '{"a": -1}',
            static fn (Node $n): mixed => $n->get('a')->float(0),
            'a: -1 is less than 0',
        ];
        yield 'a list for a map' => [
            '{"a": [1]}',
            static fn (Node $n): mixed => $n->get('a')->map(),
            'a: expected named values',
        ];
        yield 'a map for a list' => [
            '{"a": {"b": 1}}',
            static fn (Node $n): mixed => $n->get('a')->items(),
            'a: expected a list',
        ];
        yield 'a word that is none' => [
            '{"a": "middle"}',
            static fn (Node $n): mixed => $n->get('a')->enum(Side::class),
            'a: "middle" is not one of left, right',
        ];
        yield 'a day that is none' => [
            '{"a": "2026-13-01"}',
            static fn (Node $n): mixed => $n->get('a')->date(),
            'a: "2026-13-01" is not a day',
        ];
        yield 'yes for true' => [
            '{"a": "yes"}',
            static fn (Node $n): mixed => $n->get('a')->bool(),
            'a: expected true or false',
        ];
        yield 'a key nobody asked for' => [
            '{"a": {"b": 1, "c": 2}}',
            static fn (Node $n): mixed => $n->get('a')->only('b'),
            'a.c: is not known here; expected one of b',
        ];
    }

    /** @param \Closure(Node): mixed $read */
    #[DataProvider('complaints')]
    public function testEveryComplaintNamesItsPath(
        string $json,
        \Closure $read,
        string $message,
    ): void {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage($message);
        $read(Node::fromJson($json));
    }

    public function testWhatIsNoJsonSaysSo(): void
    {
        $this->expectExceptionMessage('not JSON');
        Node::fromJson('{');
    }

    public function testReadsWhatIsThere(): void
    {
        $node = Node::fromJson(
            '{"words": ["a", "b"], "grades": [1, "1+"], "sides": ["left"], "day": "2026-02-28"}',
        );

        self::assertSame(['a', 'b'], $node->get('words')->strings());
        self::assertSame(
            ['1', '1+'],
            array_map(static fn (Node $i): string => $i->scalarText(), $node->get('grades')->items()),
        );
        self::assertSame([Side::Left], $node->get('sides')->enums(Side::class));
        self::assertSame('2026-02-28', $node->get('day')->date()->format('Y-m-d'));
        self::assertNull($node->optional('nothing'));
        self::assertFalse($node->has('nothing'));
    }
}
