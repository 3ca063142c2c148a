<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Content\WholeFile;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Drawing\NamedPose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\PictureSpec;
use HandGarden\Core\Drawing\Pose;
use HandGarden\Core\Drawing\View;

/**
 * Pictures named by what they show. Naming one costs next to nothing: its spec is put down beside the place of the picture,
 * which is drawn when it is first asked for and a file from then on.
 */
final readonly class HandPictures
{
    public function __construct(private CatalogueStore $catalogue, private string $handsDir)
    {
    }

    /** @param 'start'|'end' $which */
    public function ofRung(Rung $rung, Side $side, string $which): string
    {
        return $this->url($this->specOf($rung, $side, $which));
    }

    public function ofPose(Pose $pose, View $view, Side $side): string
    {
        return $this->url(new PictureSpec(new NamedPose('measured', $pose), $view, $side));
    }

    /** @param 'start'|'end' $which the end shows the start behind it, with the way as an arrow */
    public function specOf(Rung $rung, Side $side, string $which): PictureSpec
    {
        $p = $rung->picture;
        $library = $this->catalogue->drawings();
        $view = View::from($p->view);
        $end = 'end' === $which;
        [$pose, $things, $hand] = [$end ? $p->endPose : $p->startPose, $end ? $p->endThings : $p->startThings, $end ? $p->endHand : $p->startHand];
        [$otherPose, $otherThings, $otherHand] = [$end ? $p->startPose : $p->endPose, $end ? $p->startThings : $p->endThings, $end ? $p->startHand : $p->endHand];

        return new PictureSpec(
            $library->subject($pose, $view),
            $view,
            $side,
            $library->subject($otherPose, $view),
            $end,
            $p->traced,
            $library->things($things),
            $library->things($otherThings),
            $library->hand($hand),
            $library->hand($otherHand),
            $p->table,
            $end ? $p->zones : null,
            $p->focus,
        );
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
