<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\WholeFile;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Picture;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\View;

/**
 * Pictures named by what they show. Naming one costs next to nothing: its spec is put down beside the place of
 * the picture,
 * which is drawn when it is first asked for and a file from then on.
 */
final readonly class HandPictures
{
    public function __construct(
        private CatalogueStore $catalogue,
        private string $handsDir,
        private ?PoseSwaps $swaps = null,
    ) {
    }

    /** @param int $nth number of the still */
    public function ofRung(Rung $rung, Side $side, int $nth): string
    {
        return $this->known($rung, $side, (string) $nth, 'svg', put: 'spec')
            ?? $this->url($this->specOf($rung, $side, $nth));
    }

    /** @return non-empty-list<string> every still in order */
    public function strip(Rung $rung, Side $side): array
    {
        return array_map(
            fn (int $nth): string => $this->ofRung($rung, $side, $nth),
            array_keys($rung->picture()->stills),
        );
    }

    /** The one picture that stands for the exercise. */
    public function telling(Rung $rung, Side $side): string
    {
        return $this->ofRung($rung, $side, $rung->picture()->telling());
    }

    public function ofPose(Pose $pose, View $view, Side $side): string
    {
        return $this->url(PictureSpec::ofPose(new NamedPose('measured', $pose), $view, $side));
    }

    public function specOf(Rung $rung, Side $side, int $nth): PictureSpec
    {
        return PictureNames::spec(
            $this->pictureOf($rung),
            $this->catalogue->drawings(),
            $side,
            $nth,
        );
    }

    private function pictureOf(Rung $rung): Picture
    {
        return $this->swaps?->applyTo($rung->picture()) ?? $rung->picture();
    }

    /** A name that is known, if the picture is drawn or its spec put down; null: the scene has to be set. */
    private function known(Rung $rung, Side $side, string $which, string $drawn, string $put): ?string
    {
        $name = $this->pictureOf($rung) === $rung->picture()
            ? $this->catalogue->pictureNames()[PictureNames::key($rung->id, $side, $which)] ?? null
            : null;
        if (null === $name || $this->catalogue->get()->rung($rung->id)->picture() !== $rung->picture()) {
            return null;
        }
        $base = $this->place($name);

        return is_file($base.'.'.$drawn) || is_file($base.'.'.$put)
            ? '/hands/'.$name.'.'.$drawn
            : null;
    }

    public function url(PictureSpec $spec): string
    {
        $hash = $spec->hash();
        $base = $this->place($hash);
        if (!is_file($base.'.svg') && !is_file($base.'.spec')) {
            WholeFile::write($base.'.spec', serialize($spec));
        }

        return '/hands/'.$hash.'.svg';
    }

    public function ofNamedPose(string $name): string
    {
        return $this->ofPose(
            $this->catalogue->drawings()->pose($name)->pose,
            View::Palmar,
            Side::Right,
        );
    }

    /** Where a helper's hand may lie and where it must not: palm and finger pads feed the grasp. */
    public function contactMap(Side $side): string
    {
        return $this->url(
            PictureSpec::ofPose(
                $this->catalogue->drawings()->pose('open-palm'),
                View::Palmar,
                $side,
                zones: 'keep-off-palm',
            ),
        );
    }

    /** The moving picture of a rung: a file of frames, drawn when it is first asked for. */
    public function bookOf(Rung $rung, Side $side): string
    {
        $known = $this->known($rung, $side, 'book', 'json', put: 'book');
        if (null !== $known) {
            return $known;
        }
        $book = PictureNames::book(
            $this->pictureOf($rung),
            $this->catalogue->drawings(),
            $side,
        );
        $base = $this->place($book->hash());
        if (!is_file($base.'.json') && !is_file($base.'.book')) {
            WholeFile::write($base.'.book', serialize($book));
        }

        return '/hands/'.$book->hash().'.json';
    }

    /** The frames of a name, drawn now if they never were; null when nobody named them. */
    public function drawBook(string $hash): ?string
    {
        $base = $this->place($hash);
        $drawn = @file_get_contents($base.'.json');
        if (false !== $drawn) {
            return $drawn;
        }
        $kept = @file_get_contents($base.'.book');
        $book = false === $kept ? null : @unserialize($kept);
        if (!$book instanceof FlipBook || $book->hash() !== $hash) {
            return null;
        }
        $json = $book->draw();
        WholeFile::write($base.'.json', $json);

        return $json;
    }

    /** All pictures of a rung and the moving one, now, where they are not drawn yet. */
    public function drawAll(Rung $rung, Side $side): void
    {
        foreach ($this->strip($rung, $side) as $still) {
            $this->draw(basename($still, '.svg'));
        }
        $this->drawBook(basename($this->bookOf($rung, $side), '.json'));
    }

    public function isDrawn(string $hash, string $kind): bool
    {
        return is_file($this->place($hash).'.'.$kind);
    }

    /** The picture of a name, drawn now if it never was; null when nobody named it. */
    public function draw(string $hash): ?string
    {
        $base = $this->place($hash);
        $drawn = @file_get_contents($base.'.svg');
        if (false !== $drawn) {
            return $drawn;
        }
        $kept = @file_get_contents($base.'.spec');
        $spec = false === $kept ? null : @unserialize($kept);
        if (!$spec instanceof PictureSpec || $spec->hash() !== $hash) {
            return null;
        }
        $svg = (new SvgWriter())->write((new Painter())->paint($spec));
        WholeFile::write($base.'.svg', $svg);

        return $svg;
    }

    private function place(string $hash): string
    {
        return $this->handsDir.'/'.substr($hash, 0, 2).'/'.$hash;
    }
}
