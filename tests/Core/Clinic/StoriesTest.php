<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Clinic;

use HandGarden\Bench\Clinic\MadeUpClient;
use HandGarden\Bench\Clinic\Recorder;
use HandGarden\Bench\Clinic\Story;
use HandGarden\Bench\Clinic\VirtualClinic;
use HandGarden\Core\Data\Node;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What the demonstration clinic shows is what the rules make of its stories: php bench/demo.php write. */
final class StoriesTest extends TestCase
{
    /** One that lives until today, and one whose last two weeks are told by hand. */
    #[TestWith(['wilhelmina'])]
    #[TestWith(['odalys'])]
    public function testAStoryLivedAgainIsTheOneThatIsKept(string $name): void
    {
        $dir = Cases::root().'/demo';
        $story = Story::read(
            Node::fromJson((string) file_get_contents($dir.'/'.$name.'.json')),
            Cases::catalogue(),
            new \DateTimeImmutable('2026-06-30', new \DateTimeZone('UTC')),
        );
        $trace = (new VirtualClinic(Cases::catalogue(), $story->days()))->run(
            new MadeUpClient($story->seed(), $story),
        );

        self::assertJsonStringEqualsJsonString(
            (string) file_get_contents($dir.'/lived/'.$name.'.json'),
            json_encode((new Recorder($name, $story))->record($trace), \JSON_THROW_ON_ERROR),
        );
    }
}
