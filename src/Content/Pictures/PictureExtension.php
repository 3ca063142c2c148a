<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Drawing\View;
use Twig\Extension\AbstractExtension;
use Twig\Extension\GlobalsInterface;
use Twig\TwigFunction;

/** Lets templates ask for the picture of a rung and for the words that stand in for it. */
final class PictureExtension extends AbstractExtension implements GlobalsInterface
{
    public function __construct(
        private readonly HandPictures $pictures,
    ) {
    }

    /** @return array<string, Side> */
    public function getGlobals(): array
    {
        return ['side_right' => Side::Right];
    }

    /**
     * The picture itself, for paper that can ask nobody for it.
     *
     * @param 'start'|'end' $which
     */
    private function inline(Rung $rung, Side $side, string $which): string
    {
        $name = basename($this->pictures->ofRung($rung, $side, $which), '.svg');

        return 'data:image/svg+xml;base64,'.base64_encode((string) $this->pictures->draw($name));
    }

    public function getFunctions(): array
    {
        return [
            new TwigFunction(
                'hand_start',
                fn (Rung $rung, Side $side): string => $this->pictures->ofRung($rung, $side, 'start'),
            ),
            new TwigFunction(
                'hand_end',
                fn (Rung $rung, Side $side): string => $this->pictures->ofRung($rung, $side, 'end'),
            ),
            new TwigFunction('hand_inline', $this->inline(...)),
            new TwigFunction('hand_pose', $this->pictures->ofNamedPose(...)),
            new TwigFunction('hand_contacts', $this->pictures->contactMap(...)),
            new TwigFunction(
                'hand_book',
                fn (Rung $rung, Side $side): string => $this->pictures->bookOf($rung, $side),
            ),
            new TwigFunction(
                'hand_words',
                static fn (Rung $rung, Side $side, string $which): string => \sprintf(
                    '%s, %s of the movement, %s hand, %s',
                    $rung->name,
                    $which,
                    $side->value,
                    View::from($rung->picture->view)->label(),
                ),
            ),
        ];
    }
}
