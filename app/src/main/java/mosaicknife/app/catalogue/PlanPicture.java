package mosaicknife.app.catalogue;

import mosaicknife.app.picture.FishPicture;
import mosaicknife.core.anatomy.BodyPlan;

/**
 * A body plan with its picture, to be chosen by eye.
 *
 * @param plan the plan
 * @param picture the drawing without numbers
 */
record PlanPicture(BodyPlan plan, FishPicture picture) {}
