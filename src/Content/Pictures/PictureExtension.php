<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use Twig\Extension\AbstractExtension;
use Twig\Extension\GlobalsInterface;
use Twig\TwigFilter;
use Twig\TwigFunction;

/** Lets templates ask for the picture of a rung and for the words that stand in for it. */
final class PictureExtension extends AbstractExtension implements GlobalsInterface
{
    public function __construct(
        private readonly HandPictures $pictures,
        private readonly TaskPictures $tasks,
    ) {
    }

    /** @return array<string, Side> */
    public function getGlobals(): array
    {
        return ['side_right' => Side::Right];
    }

    public function getFilters(): array
    {
        return [new TwigFilter('pictured', $this->tasks->of(...))];
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction('hand_still', $this->pictures->ofRung(...)),
            new TwigFunction('hand_telling', $this->pictures->telling(...)),
            new TwigFunction('hand_strip', $this->strip(...)),
            new TwigFunction('hand_inline', $this->inline(...)),
            new TwigFunction('hand_pose', $this->pictures->ofNamedPose(...)),
            new TwigFunction(
                'hand_contacts',
                $this->pictures->contactMap(...),
            ),
            new TwigFunction(
                'hand_book',
                fn (Rung $rung, Side $side): string => $this->pictures->bookOf($rung, $side),
            ),
            new TwigFunction('hand_words', self::words(...)),
        ];
    }

    /** @return list<array{number: int, src: string, words: string}> every still of an exercise */
    private function strip(Rung $rung, Side $side): array
    {
        $strip = [];
        foreach ($this->pictures->strip($rung, $side) as $nth => $source) {
            $strip[] = ['number' => $nth + 1, 'src' => $source, 'words' => self::words($rung, $side, $nth)];
        }

        return $strip;
    }

    /** The picture itself, for paper that can ask nobody for it. */
    private function inline(string $source): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode(
            (string) $this->pictures->draw(basename($source, '.svg')),
        );
    }

    /** @param ?int $nth number of the still; null: the one that stands for all */
    private static function words(Rung $rung, Side $side, ?int $nth = null): string
    {
        $nth ??= $rung->picture()->telling();

        return \sprintf(
            '%s, picture %d of %d, %s hand, %s',
            $rung->name,
            $nth + 1,
            \count($rung->picture()->stills),
            $side->value,
            $rung->picture()->view->label(),
        );
    }
}
