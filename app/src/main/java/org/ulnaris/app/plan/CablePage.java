package org.ulnaris.app.plan;

import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobView;
import org.ulnaris.core.making.CablePlan;

/** What every page of one cable shows: the job, the cable, its neighbours, its ribbon. */
@Component
public class CablePage {
    private final CableService cables;
    private final CablePictures pictures;

    CablePage(CableService cables, CablePictures pictures) {
        this.cables = cables;
        this.pictures = pictures;
    }

    /** Fills {@code model} and tells the cable's sizes. */
    public CableSizing open(Model model, Job job, Cable cable) {
        CableSizing sizing = CableSizing.of(job.details(), cable.details());
        CablePlan plan = pictures.plan(job, cable);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("cable", CableView.of(cable, sizing, cables.idsOf(job.id())));
        model.addAttribute("ribbon", pictures.ribbon(job, cable, plan, true));
        model.addAttribute("plan", plan);
        return sizing;
    }
}
