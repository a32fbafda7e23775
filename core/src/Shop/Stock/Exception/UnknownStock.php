<?php

declare(strict_types=1);

namespace UpsweptBead\Core\Shop\Stock\Exception;

use UpsweptBead\Core\CoreError;

/** A stock id that is in no catalogue. */
final class UnknownStock extends \OutOfBoundsException implements CoreError
{
    public static function noBendsFor(string $tubeId): self
    {
        return new self(sprintf('There are no bends for the tube "%s" in the catalogue.', mb_substr($tubeId, 0, 40)));
    }

    /** @param  list<string>  $near */
    public static function tube(string $id, array $near): self
    {
        return new self(
            sprintf(
                'There is no tube "%s" in the catalogue%s.',
                mb_substr($id, 0, 40),
                $near === [] ? '' : '; near it: '.implode(', ', $near),
            ),
        );
    }
}
