<?php

declare(strict_types=1);

namespace HandGarden\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The floors of docs/architecture.md: a room imports the core and the floors below it, never above. */
final class FloorsTest
{
    private const FLOORS = [
        ['Web', 'Account'],
        ['Content'],
        ['Library'],
        ['Client'],
        ['Assessment'],
        ['Device'],
        ['Planning'],
        ['Sitting'],
        ['Wearing'],
        ['Progress'],
        ['Following'],
        ['Home'],
        ['GroupWork'],
        ['Reporting'],
        ['Caseload'],
        ['Exchange'],
        ['Office'],
        ['Desk'],
    ];

    public function testTheCoreKnowsOnlyItself(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('HandGarden\Core'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Doctrine'),
                Selector::inNamespace('Twig'),
                ...array_map(
                    static fn (string $room) => Selector::inNamespace('HandGarden\\'.$room),
                    array_merge(...self::FLOORS),
                ),
            )
            ->because('the rules of the job are tested, replayed and explained on their own');
    }

    /** @return iterable<Rule> */
    public function testNoRoomLooksUp(): iterable
    {
        foreach (self::FLOORS as $floor => $rooms) {
            $above = array_merge(
                ...\array_slice(self::FLOORS, $floor + 1),
            );
            if ([] === $above) {
                continue;
            }
            foreach ($rooms as $room) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace('HandGarden\\'.$room))
                    ->shouldNotDependOn()
                    ->classes(
                        ...array_map(
                            static fn (string $higher) => Selector::inNamespace(
                                'HandGarden\\'.$higher,
                            ),
                            $above,
                        ),
                    )
                    ->because($room.' stands below '.implode(
                        ', ',
                        $above,
                    ));
            }
        }
    }
}
